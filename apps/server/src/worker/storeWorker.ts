import { parentPort, workerData } from 'node:worker_threads';
import { BIN_DAYS, demoSetup } from '@nimble-lever/core/setup';
import { pino } from 'pino';
import { openDatabase } from '../database/dataSource.ts';
import { PictureProcesses } from '../pictures/pictureProcesses.ts';
import { logProblem, problemJson, toProblem } from '../problem/problem.ts';
import { poolOf } from '../store/database.ts';
import { Notifications } from '../store/notifications.ts';
import { FORGOTTEN_CHANNEL, PairingStore } from '../store/pairingStore.ts';
import { PictureStore } from '../store/pictureStore.ts';
import { SetupStore } from '../store/setupStore.ts';
import { EDITS_CHANNEL } from '../store/writeStatement.ts';
import { newsText } from './answering.ts';
import { answerTo, type Kept } from './answerTo.ts';
import { BodyReader } from './bodyReader.ts';
import type { Answer, Ask, FromWorker, ToWorker, WorkerSettings } from './messages.ts';
import { unusableWords } from './unusable.ts';

/**
 * The thread that keeps the set-ups: reads what is sent, applies edits, talks to the database, writes what is
 * answered. However large a set-up or an edit is, the thread that serves pages is never held up by it.
 */
const port = parentPort;
if (!port) throw new Error('This runs as a worker only.');
// The thread keeps the set-ups: a large one takes hundreds of milliseconds to read, in which the server would
// answer nobody.
const settings = workerData as WorkerSettings;
const log = pino({ level: settings.logLevel });
const encoder = new TextEncoder();
/** Built, its helpers are files beside this one; else they are read as they are written. */
const isBuilt = import.meta.url.endsWith('.mjs');
/** A day. */
const SWEEP_MS = 24 * 3600 * 1000;
/** Answers the server. Bytes are handed over rather than copied. */
const say = (message: FromWorker, transfer: readonly Uint8Array[] = []) =>
  port.postMessage(
    message,
    transfer.map(({ buffer }) => buffer as ArrayBuffer),
  );

process.on('unhandledRejection', (error) => log.error({ err: error }, 'Something went wrong aside.'));

// Nothing is served before the database can be used; otherwise the reason goes to the person who starts it.
const opened = await open().catch((error: unknown) => {
  log.debug({ err: error }, 'The database could not be used.');
  say({ kind: 'unusable', words: unusableWords(error) });
  return null;
});
if (opened) serve(opened.kept, opened.close);
else port.close();

/** Until the database can be used, every question is answered with why it cannot. */
async function open() {
  const source = await openDatabase(settings.url, settings.queryLimitMs);
  const pool = poolOf(source);
  const store = new SetupStore(
    pool,
    (setUp, from, to, texts) => {
      const body = texts.length > 0 ? encoder.encode(newsText(texts)) : null;
      say({ kind: 'news', setUp, from, to, body }, body ? [body] : []);
    },
    log,
  );
  if (await store.createFirst(settings.first, demoSetup())) {
    log.info('The database was empty; the demo set-up was loaded.');
  }
  const heard = (id: string | null, revision: number | null) => {
    store.heard(id, revision).catch((error: unknown) => log.debug({ err: error }, 'Not caught up yet.'));
  };
  const forgotten = (id: string | null) => say({ kind: 'forgotten', id });
  const listener = new Notifications(
    settings.url,
    {
      channels: {
        // Of an edit only that there is one: a notification holds 8,000 bytes at most.
        [EDITS_CHANNEL]: (payload) => {
          const [setUp = '', revision] = payload.split(' ');
          heard(setUp, Number(revision));
        },
        [FORGOTTEN_CHANNEL]: forgotten,
      },
      onLost: () => store.lost(),
      onBack: () => {
        heard(null, null);
        forgotten(null);
      },
    },
    log,
  );
  await listener.open();
  const pictureProcesses = new PictureProcesses(
    new URL(isBuilt ? './pictureProcess.mjs' : '../pictures/pictureProcess.ts', import.meta.url),
  );
  const bodies = new BodyReader(new URL(isBuilt ? './bodyThread.mjs' : './startBody.mjs', import.meta.url));
  const close = async () => {
    pictureProcesses.close();
    bodies.close();
    await listener.close();
    await store.settled();
    await source.destroy();
  };
  const pictures = new PictureStore(pool);
  sweepDaily(store, pictures);
  return { kept: { store, pictures, pictureProcesses, bodies, pairings: new PairingStore(pool) }, close };
}

/** Once a day what nobody wants any more is looked for, and what a log from before still needs. */
function sweepDaily(store: SetupStore, pictures: PictureStore): void {
  const sweep = async () => {
    const now = new Date();
    await store.markAll();
    const packed = await store.packAll();
    if (packed > 0) log.info(`${packed} old entries of the log were packed.`);
    const set = await store.emptyBin(now);
    if (set > 0) log.info(`${set} set-ups were in the bin for ${BIN_DAYS} days and were taken away.`);
    const kept = await store.snapshots.sweep(now);
    if (kept > 0) log.info(`${kept} snapshots were older than they are to be kept and were taken away.`);
    const gone = await pictures.sweep(now);
    if (gone > 0) log.info(`${gone} pictures that nothing referred to were taken away.`);
  };
  const trySweep = () => sweep().catch((error: unknown) => log.debug({ err: error }, 'Swept later.'));
  void trySweep();
  setInterval(trySweep, SWEEP_MS).unref();
}

/** From here on messages are answered, in any order. */
function serve(kept: Kept, close: () => Promise<void>): void {
  port?.on('message', (message: ToWorker) => {
    if (message.kind === 'close') {
      void close().finally(() => port?.close());
      return;
    }
    void answer(kept, message.ask).then((answered) =>
      say({ kind: 'answer', seq: message.seq, ...answered }, [answered.body]),
    );
  });
  say({ kind: 'ready' });
}

/** Nothing that is asked ends the worker: what nobody expected is told without its inside. */
async function answer(kept: Kept, ask: Ask): Promise<Answer> {
  try {
    return { status: 200, ...(await answerTo(kept, ask)) };
  } catch (error) {
    const problem = toProblem(error);
    logProblem(log, problem, error);
    return { status: problem.status, holds: 'json', body: encoder.encode(problemJson(problem)) };
  }
}
