import { readFileSync } from 'node:fs';
import { pino } from 'pino';
import { readConfig } from './config.ts';
import { UnusableCertificate } from './http/encryption.ts';
import { startServer } from './server.ts';
import { UnusableDatabase } from './worker/storeClient.ts';

/** Exit codes that the start command puts into words: the port is in use; the database, or the certificate, cannot be used. */
const PORT_TAKEN = 98;
const UNUSABLE = 97;

const { version } = JSON.parse(readFileSync(new URL('../../../package.json', import.meta.url), 'utf8'));
// Read before anything else: a wrong variable ends the start with its name, not a request an hour later.
const config = readConfig(process.env);
// Lines of JSON on standard output; the start command shows them as they are.
const log = pino({ level: config.LOG_LEVEL });

// Nothing that is asked of the server may end it. What nobody foresaw is logged, and the next request is served.
process.on('uncaughtException', (error) =>
  log.error({ err: error }, 'Something nobody expected went wrong.'),
);
process.on('unhandledRejection', (error) =>
  log.error({ err: error }, 'Something nobody expected went wrong.'),
);

try {
  // Built, the worker is a file beside this one; else it is read as it is written.
  const isBuilt = import.meta.url.endsWith('.mjs');
  const worker = new URL(isBuilt ? './storeWorker.mjs' : './worker/start.mjs', import.meta.url);
  const server = await startServer(config, version, log, worker);
  log.info({ address: server.address }, 'Nimble Lever is served.');
  const { address, entrance, elsewhere } = server;
  process.send?.({ kind: 'ready', address, entrance, elsewhere });
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    await server.close();
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
} catch (error) {
  process.exit(told(error));
}

/** Says why the server could not start; gives the exit code. */
function told(error: unknown): number {
  if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') {
    console.error(`Port ${config.PORT} is in use.`);
    return PORT_TAKEN;
  }
  if (error instanceof UnusableDatabase || error instanceof UnusableCertificate) {
    console.error(error.message);
    return UNUSABLE;
  }
  log.fatal({ err: error }, 'The server could not start.');
  return 1;
}
