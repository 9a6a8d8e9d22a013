import { type ChildProcess, fork } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Problem } from '../problem/problem.ts';
import type { KeptPicture } from '../store/pictureStore.ts';
import { type PictureAsk, pictureAnswerSchema } from './pictureTask.ts';
import { refusedPicture, TOO_MUCH } from './pictureWords.ts';

/** So many pictures are made ready at once; the processors are for pages, too. */
const MOST_AT_ONCE = 2;
/** So many wait for that; more are asked to come again. */
const MOST_WAITING = 50;
/** A process that has nothing to do is ended after so long: milliseconds. */
const IDLE_MS = 10_000;
/** How often it is looked how much memory one takes: milliseconds. */
const LOOK_MS = 50;
/** Bytes of a page of memory, as proc(5) counts them. */
const PAGE = 4096;

/** What a picture may take. */
export interface PictureLimits {
  /** Milliseconds. */
  readonly time: number;
  /** Bytes. */
  readonly memory: number;
}
const LIMITS: PictureLimits = { time: 10_000, memory: 1_000_000_000 };

/** Reading the program takes a moment, on a busy computer a long one: milliseconds. */
const START_MS = 60_000;

interface Worker {
  readonly child: ChildProcess;
  /** It can be asked; false where it ended before. */
  readonly ready: Promise<boolean>;
}

interface Job {
  readonly ask: PictureAsk;
  readonly done: (made: KeptPicture) => void;
  readonly failed: (error: unknown) => void;
}

/**
 * Makes pictures ready in processes of their own. One that takes too long or too much memory is killed; the others go on
 * meanwhile, and a process that ended is replaced.
 */
export class PictureProcesses {
  readonly #waiting: Job[] = [];
  readonly #idle: { worker: Worker; timer: NodeJS.Timeout }[] = [];
  readonly #busy = new Set<Worker>();
  #closed = false;

  /** @param program the file of `pictureProcess`, as it is written or built */
  constructor(
    private readonly program: URL | string,
    private readonly limits: PictureLimits = LIMITS,
  ) {}

  /** Does what is asked. Throws a `Problem` for a picture that cannot be used. */
  ask(ask: PictureAsk): Promise<KeptPicture> {
    return new Promise((done, failed) => {
      if (this.#closed || this.#waiting.length >= MOST_WAITING) {
        failed(busy());
        return;
      }
      this.#waiting.push({ ask, done, failed });
      this.#next();
    });
  }

  /** Ends all processes, whatever they are at. */
  close(): void {
    this.#closed = true;
    for (const { failed } of this.#waiting.splice(0)) failed(busy());
    for (const { worker, timer } of this.#idle.splice(0)) {
      clearTimeout(timer);
      worker.child.kill('SIGKILL');
    }
    for (const { child } of this.#busy) child.kill('SIGKILL');
  }

  #next(): void {
    if (this.#busy.size >= MOST_AT_ONCE) return;
    const job = this.#waiting.shift();
    if (!job) return;
    const rested = this.#idle.pop();
    clearTimeout(rested?.timer);
    const worker = rested?.worker ?? this.#start();
    this.#busy.add(worker);
    void this.#do(worker, job).finally(() => {
      this.#busy.delete(worker);
      this.#next();
    });
  }

  #start(): Worker {
    const isSource = String(this.program).endsWith('.ts');
    const child = fork(this.program, {
      serialization: 'advanced',
      execArgv: isSource ? ['--import', 'tsx'] : [],
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    });
    const limit = setTimeout(() => child.kill('SIGKILL'), START_MS);
    const ready = new Promise<boolean>((resolve) => {
      // What it says first is that it can be asked.
      child.once('message', () => resolve(true));
      child.once('exit', () => resolve(false));
      child.on('error', () => resolve(false));
    }).finally(() => clearTimeout(limit));
    return { child, ready };
  }

  /** Resolves when the process can be asked again, or is over. */
  async #do(worker: Worker, { ask, done, failed }: Job): Promise<void> {
    const { child } = worker;
    const isReady = await worker.ready;
    return new Promise((over) => {
      if (!isReady) {
        failed(refusedPicture(TOO_MUCH.ended));
        over();
        return;
      }
      let why: string | null = null;
      const kill = (words: string) => {
        why = words;
        child.kill('SIGKILL');
      };
      const limit = setTimeout(() => kill(TOO_MUCH.time), this.limits.time);
      const look = setInterval(() => memoryOf(child) > this.limits.memory && kill(TOO_MUCH.memory), LOOK_MS);
      const end = () => {
        clearTimeout(limit);
        clearInterval(look);
        child.off('message', answered);
        child.off('exit', exited);
        over();
      };
      const answered = (message: unknown) => {
        const answer = pictureAnswerSchema.parse(message);
        if (answer.kind === 'picture') done(answer);
        else if (answer.kind === 'refused') failed(new Problem(answer.status, answer.title, answer.detail));
        else failed(new Error(`A picture could not be made ready: ${answer.message}`));
        this.#rest(worker);
        end();
      };
      const exited = () => {
        // Ended by itself, as by a library that met what nobody expected, it says the same of the picture.
        failed(refusedPicture(why ?? TOO_MUCH.ended));
        end();
      };
      child.on('message', answered);
      child.on('exit', exited);
      child.send(ask, (error) => error && kill(TOO_MUCH.ended));
    });
  }

  #rest(worker: Worker): void {
    if (this.#closed) {
      worker.child.kill('SIGKILL');
      return;
    }
    const timer = setTimeout(() => {
      this.#idle.splice(this.#idle.indexOf(rested), 1);
      worker.child.kill('SIGKILL');
    }, IDLE_MS).unref();
    const rested = { worker, timer };
    this.#idle.push(rested);
  }
}

function busy(): Problem {
  const detail = 'Too many pictures are being made ready. Nothing was changed; choose it again in a minute.';
  return new Problem(503, 'Busy with pictures', detail);
}

/** How much memory a process has: bytes (proc(5)). Elsewhere it is not known, and only time is limited. */
function memoryOf({ pid }: ChildProcess): number {
  try {
    return Number(readFileSync(`/proc/${pid}/statm`, 'utf8').split(' ')[1]) * PAGE;
  } catch {
    return 0;
  }
}
