import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { spawnServer } from '../../scripts/lib/server.mjs';
import { keepBeginning } from './beginning.ts';

/** A running server on a database of its own. */
export interface RunningApp {
  readonly address: string;
  /** Ends the server as a crash would, at once. */
  kill(): Promise<void>;
  /** Starts it again on the same database and port. */
  restart(): Promise<void>;
  /** Starts another server on the same database. */
  beside(): Promise<{ readonly address: string; kill(): Promise<void> }>;
  /** Does something to its database, as a broken version or a careless hand might. */
  query(sql: string): Promise<void>;
  /** Makes everything as it was when it had just begun, whatever was done to it, for the next test. */
  reset(): Promise<void>;
  /** Stops it in order and drops its database. */
  stop(): Promise<void>;
}

/**
 * Starts the real server on a new, empty database of the test server: the demo is loaded.
 *
 * @param more further settings, as the environment has them
 * @param serverUrl another database server than that of the tests
 */
export async function startApp(
  more: Record<string, string> = {},
  serverUrl = process.env.TEST_DATABASE_URL,
): Promise<RunningApp> {
  if (!serverUrl) throw new Error('TEST_DATABASE_URL is missing: run these tests by `npm test -- e2e`.');
  const name = `nimble_lever_e2e_${randomBytes(6).toString('hex')}`;
  await ensureDatabase(serverUrl, name);
  const port = await freePort();
  const address = `${more.TLS_CERT ? 'https' : 'http'}://127.0.0.1:${port}`;
  const settings = {
    DATABASE_URL: sibling(serverUrl, name),
    PORT: String(port),
    LOG_LEVEL: 'error',
    ...more,
  };
  let running = await start(settings);
  const others: (typeof running)[] = [];
  const isOver = ({ child }: typeof running) => child.exitCode !== null || child.signalCode !== null;
  const end = async (server: typeof running, signal: 'SIGKILL' | 'SIGTERM') => {
    if (!isOver(server)) server.child.kill(signal);
    await server.exited;
  };
  const beginning = await keepBeginning(settings.DATABASE_URL);
  return {
    address,
    kill: () => end(running, 'SIGKILL'),
    beside: async () => {
      const port = String(await freePort());
      const other = await start({ ...settings, PORT: port });
      others.push(other);
      return {
        address: address.replace(settings.PORT, port),
        kill: () => end(other, 'SIGKILL'),
      };
    },
    query: async (sql) => {
      const client = new pg.Client({ connectionString: settings.DATABASE_URL });
      await client.connect();
      await client.query(sql);
      await client.end();
    },
    restart: async () => {
      running = await start(settings);
    },
    reset: async () => {
      for (const other of others.splice(0)) await end(other, 'SIGTERM');
      await beginning.putBack();
      if (isOver(running)) running = await start(settings);
    },
    stop: async () => {
      for (const server of [running, ...others]) await end(server, 'SIGTERM');
      await dropDatabase(serverUrl, name);
    },
  };
}

async function start(settings: Record<string, string>) {
  const server = spawnServer(settings, { quietly: true });
  const address = await server.ready;
  if (address === null) throw new Error('The server did not start.');
  return server;
}
