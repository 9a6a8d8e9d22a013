import { Worker } from 'node:worker_threads';
import { Problem, type ProblemParts } from '../problem/problem.ts';
import { type ReadAppend, readAppend } from './readAppend.ts';

/** What is smaller is read at once: bytes. It takes some milliseconds. */
const LARGE = 200_000;
/** The largest that is taken is read within a few seconds; one that is made to take longer is given up: milliseconds. */
const LIMIT_MS = 20_000;
/** A thread with nothing to do is ended after so long: milliseconds. */
const IDLE_MS = 30_000;
/** Some forty times the largest body: MB. */
const MOST_MEMORY = 1500;

/** What the thread is asked and answers. */
export interface BodyAsk {
  readonly seq: number;
  readonly body: Uint8Array;
}
export type BodyAnswer =
  | { readonly seq: number; readonly read: ReadAppend }
  | { readonly seq: number; readonly problem: ProblemParts };

interface Waiting {
  readonly done: (read: ReadAppend) => void;
  readonly failed: (problem: Problem) => void;
  readonly timer: NodeJS.Timeout;
}

/** Reads what is sent to be saved: large bodies in a thread of their own, which is ended where it takes too long. */
export class BodyReader {
  #thread: Worker | null = null;
  #idle: NodeJS.Timeout | null = null;
  #seq = 0;
  readonly #waiting = new Map<number, Waiting>();

  /** @param program the file of the thread */
  constructor(
    private readonly program: URL | string,
    private readonly limitMs = LIMIT_MS,
  ) {}

  /** Throws a `Problem` where nothing of it can be read. */
  async read(body: Uint8Array): Promise<ReadAppend> {
    if (body.byteLength < LARGE) return readAppend(body);
    if (this.#idle) clearTimeout(this.#idle);
    this.#thread ??= this.#start();
    const thread = this.#thread;
    this.#seq += 1;
    const seq = this.#seq;
    return new Promise((done, failed) => {
      const timer = setTimeout(() => void thread.terminate(), this.limitMs);
      this.#waiting.set(seq, { done, failed, timer });
      const ask: BodyAsk = { seq, body };
      thread.postMessage(ask);
    });
  }

  close(): void {
    if (this.#idle) clearTimeout(this.#idle);
    void this.#thread?.terminate();
  }

  #start(): Worker {
    const thread = new Worker(this.program, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY } });
    thread.on('message', (answer: BodyAnswer) => this.#take(answer));
    // It ends, too, and that says all.
    thread.on('error', () => undefined);
    thread.on('exit', () => {
      if (this.#thread === thread) this.#thread = null;
      const detail =
        'The request takes too long or too much memory to read. Nothing was changed; send less at once.';
      for (const seq of [...this.#waiting.keys()]) {
        this.#take({ seq, problem: { status: 422, title: 'Too much at once', detail, facts: {} } });
      }
    });
    return thread;
  }

  #take(answer: BodyAnswer): void {
    const waiting = this.#waiting.get(answer.seq);
    if (!waiting) return;
    this.#waiting.delete(answer.seq);
    clearTimeout(waiting.timer);
    if ('read' in answer) waiting.done(answer.read);
    else {
      const { status, title, detail, facts } = answer.problem;
      waiting.failed(new Problem(status, title, detail, facts));
    }
    if (this.#waiting.size === 0) {
      this.#idle = setTimeout(() => void this.#thread?.terminate(), IDLE_MS).unref();
    }
  }
}
