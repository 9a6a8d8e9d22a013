import { readFileSync } from 'node:fs';
import { pino } from 'pino';
import { readConfig } from './config.ts';
import { startServer } from './server.ts';

/** Exit code for a port that something else uses; the start command says so in words. */
const PORT_TAKEN = 98;

const { version } = JSON.parse(readFileSync(new URL('../../../package.json', import.meta.url), 'utf8'));
const config = readConfig(process.env);
const log = pino({ level: config.LOG_LEVEL });

try {
  const server = await startServer(config, version, log);
  log.info({ address: server.address }, 'Nimble Lever is served.');
  process.send?.({ kind: 'ready', address: server.address });
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
  const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  if (taken) log.fatal(`Port ${config.PORT} is in use.`);
  else log.fatal({ err: error }, 'The server could not start.');
  process.exitCode = taken ? PORT_TAKEN : 1;
  setTimeout(() => process.exit(), 200).unref();
}
