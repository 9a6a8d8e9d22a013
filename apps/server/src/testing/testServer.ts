import path from 'node:path';
import { type Logger, pino } from 'pino';
import { readConfig } from '../config.ts';
import { type RunningServer, startServer } from '../server.ts';

const WORKER = path.join(__dirname, '../worker/start.mjs');

/** A server on a database, on a port of its own. It logs nothing where no log is given. */
export function startTestServer(
  url: string,
  settings: Readonly<Record<string, string>> = {},
  log: Logger = pino({ level: 'silent' }),
): Promise<RunningServer> {
  const config = readConfig({ DATABASE_URL: url, PORT: '0', LOG_LEVEL: 'silent', ...settings });
  return startServer(config, '9.9.9', log, WORKER);
}
