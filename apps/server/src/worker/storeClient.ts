import { Worker } from 'node:worker_threads';
import type { Logger } from 'pino';
import { databaseProblem, type Problem, problemJson } from '../problem/problem.ts';
import type { Answer, Ask, FromWorker, News, ToWorker, WorkerSettings } from './messages.ts';

/** The database could not be used at the start; the message says why and what to do. */
export class UnusableDatabase extends Error {}

/** How long an answer may take: longer than every limit in the worker. */
const ANSWER_LIMIT_MS = 25_000;
/**
 * How long to wait before another worker takes the place of one that ended, so that one that ends at once
 * does not keep a processor busy.
 */
const RESTART_MS = 500;

/** A question under way. */
interface Waiting {
  readonly answered: (answer: Answer) => void;
  readonly timer: NodeJS.Timeout;
}

/** What the worker tells without being asked. */
interface Listeners {
  readonly onNews: (news: News) => void;
  /** A paired browser is one no more; with null, any may be. */
  readonly onForgotten: (id: string | null) => void;
}

/** The worker that keeps the set-ups, from outside. Should it ever end by itself, another one takes its place. */
export class StoreClient {
  #worker: Worker | null = null;
  #closed = false;
  #seq = 0;
  readonly #waiting = new Map<number, Waiting>();

  constructor(
    private readonly file: URL | string,
    private readonly settings: WorkerSettings,
    private readonly listeners: Listeners,
    private readonly log: Logger,
  ) {}

  /** Starts the worker; resolves when it answers, and throws `UnusableDatabase` where it cannot. */
  start(): Promise<void> {
    return new Promise((resolve, reject) => {
      const worker = new Worker(this.file, { workerData: this.settings });
      this.#worker = worker;
      worker.on('message', (message: FromWorker) => {
        if (message.kind === 'ready') resolve();
        else if (message.kind === 'unusable') reject(new UnusableDatabase(message.words));
        else this.#take(message);
      });
      worker.on('error', (error) => {
        this.log.error({ err: error }, 'The thread that keeps the set-ups met an error.');
        reject(error);
      });
      worker.on('exit', () => this.#ended(worker));
    });
  }

  /** Asks and waits for the answer, which may be a problem; it is never thrown. */
  ask(ask: Ask): Promise<Answer> {
    const worker = this.#worker;
    if (!worker) return Promise.resolve(problemAnswer(databaseProblem()));
    this.#seq += 1;
    const seq = this.#seq;
    return new Promise((answered) => {
      const timer = setTimeout(() => this.#answer(seq, problemAnswer(databaseProblem())), ANSWER_LIMIT_MS);
      this.#waiting.set(seq, { answered, timer });
      const message: ToWorker = { kind: 'ask', seq, ask };
      worker.postMessage(message);
    });
  }

  async close(): Promise<void> {
    this.#closed = true;
    const worker = this.#worker;
    if (!worker) return;
    const ended = new Promise((resolve) => worker.once('exit', resolve));
    const message: ToWorker = { kind: 'close' };
    worker.postMessage(message);
    const timer = setTimeout(() => void worker.terminate(), 3000);
    await ended;
    clearTimeout(timer);
  }

  /** Answers go to who asked, news to all. */
  #take(message: Extract<FromWorker, { kind: 'answer' | 'news' | 'forgotten' }>): void {
    switch (message.kind) {
      case 'news':
        this.listeners.onNews(message);
        break;
      case 'forgotten':
        this.listeners.onForgotten(message.id);
        break;
      case 'answer':
        this.#answer(message.seq, message);
    }
  }

  #answer(seq: number, answer: Answer): void {
    const waiting = this.#waiting.get(seq);
    if (!waiting) return;
    this.#waiting.delete(seq);
    clearTimeout(waiting.timer);
    waiting.answered({ status: answer.status, holds: answer.holds, body: answer.body });
  }

  /** Whoever waited for the worker that ended gets an answer: that it is tried again. */
  #ended(worker: Worker): void {
    if (this.#worker !== worker) return;
    this.#worker = null;
    for (const seq of [...this.#waiting.keys()]) this.#answer(seq, problemAnswer(databaseProblem()));
    if (this.#closed) return;
    // What it would have told meanwhile nobody heard.
    this.listeners.onForgotten(null);
    this.#restart();
  }

  /** After a pause, so that a worker that cannot begin does not keep a processor busy. */
  #restart(): void {
    setTimeout(() => {
      if (this.#closed) return;
      // A worker that cannot start ends, which brings us here again.
      this.start().catch((error: unknown) =>
        this.log.error({ err: error }, 'The set-ups cannot be kept yet.'),
      );
    }, RESTART_MS).unref();
  }
}

/** A problem as an answer like any other (RFC 9457). */
function problemAnswer(problem: Problem): Answer {
  return { status: problem.status, holds: 'json', body: new TextEncoder().encode(problemJson(problem)) };
}
