import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type Server } from 'node:http';
import { createServer as createEncrypted } from 'node:https';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { Access } from './access/access.ts';
import { isAllowed } from './access/guard.ts';
import { Hosts } from './access/hosts.ts';
import type { Config } from './config.ts';
import { createApp } from './http/app.ts';
import { encryption } from './http/encryption.ts';
import { answerMalformed } from './http/malformed.ts';
import { LivePages } from './live/livePages.ts';
import { BEAT_MS, OtherServers } from './live/otherServers.ts';
import { DESKS_CHANNEL } from './live/wire.ts';
import { reached } from './routes/reached.ts';
import { Notifications } from './store/notifications.ts';
import { StoreClient } from './worker/storeClient.ts';

/** The id of the set-up that an empty database gets. */
export const DEMO_ID = 'saltmarsh';

/** A request must have come in whole by then. */
const REQUEST_LIMIT_MS = 60_000;

/** A server that listens; closing it lets requests that are under way finish. */
export interface RunningServer {
  readonly address: string;
  /** The address that opens the page: with the key, where one is asked for. */
  readonly entrance: string;
  /** The same for other devices, where the server listens to the network and answers to names there. */
  readonly elsewhere: readonly string[];
  /** How many live connections there are. */
  readonly livePages: () => number;
  close(): Promise<void>;
}

/**
 * Opens the database, loads the demo where it is empty, and serves. Resolves when requests are taken; throws
 * `UnusableDatabase` where the database cannot be used. `worker` is the file of the thread that keeps the set-ups.
 */
export async function startServer(
  config: Config,
  version: string,
  log: Logger,
  worker: URL | string,
): Promise<RunningServer> {
  const settings = {
    url: config.DATABASE_URL,
    logLevel: config.LOG_LEVEL,
    queryLimitMs: config.QUERY_LIMIT_MS,
    first: DEMO_ID,
  };
  const key = config.ACCESS === 'key' ? config.ACCESS_KEY || randomBytes(24).toString('hex') : null;
  const tls = encryption(config);
  const hosts = new Hosts(config.HOST, config.ALLOWED_HOSTS);
  const onForgotten = (id: string | null) => {
    access.forgotten();
    pages.forgotten(id);
  };
  const store = new StoreClient(worker, settings, { onNews: (news) => pages.tell(news), onForgotten }, log);
  const access = new Access(key, store, tls !== null);
  const enter = async (request: IncomingMessage) =>
    isAllowed(request, hosts) ? access.visitor(request) : null;
  const others = new OtherServers({
    say: (text) => wire.say(DESKS_CHANNEL, text),
    waiting: () => wire.waiting,
  });
  const wire = new Notifications(
    config.DATABASE_URL,
    {
      channels: { [DESKS_CHANNEL]: (text) => others.heard(text) },
      onLost: () => others.lost(),
      onBack: () => others.opened(),
    },
    log,
  );
  const beat = setInterval(() => others.beat(), BEAT_MS);
  const pages = new LivePages(store, enter, others.hub, log);
  const app = createApp({ config, store, access, version, hosts, isEncrypted: tls !== null, log });
  const server: Server = tls ? createEncrypted(tls, app) : createServer(app);
  server.requestTimeout = REQUEST_LIMIT_MS;
  server.on('clientError', answerMalformed);
  pages.attach(server);
  try {
    await store.start();
    await wire.open();
    others.opened();
    await listen(server, config);
  } catch (error) {
    clearInterval(beat);
    pages.close();
    await wire.close();
    await store.close();
    throw error;
  }
  const { port } = server.address() as AddressInfo;
  const address = `${tls ? 'https' : 'http'}://${hosts.here()}:${port}`;
  const withKey = (to: string) => (key === null ? to : `${to}/?key=${key}`);
  return {
    address,
    entrance: withKey(address),
    elsewhere: reached(hosts, tls !== null, port).addresses.map(withKey),
    livePages: () => pages.count,
    close: async () => {
      pages.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
        setTimeout(() => server.closeAllConnections(), 1000).unref();
      });
      clearInterval(beat);
      await wire.close();
      await store.close();
    },
  };
}

/** A port that is taken is a rejection, not an event that nobody hears. */
function listen(server: Server, config: Config): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.PORT, config.HOST, () => {
      server.off('error', reject);
      resolve();
    });
  });
}
