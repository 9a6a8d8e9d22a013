import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { demoSetup } from '@nimble-lever/core/setup';
import type { Logger } from 'pino';
import type { Config } from './config.ts';
import { openDatabase } from './database/dataSource.ts';
import { createApp } from './http/app.ts';
import { isAllowed } from './http/guard.ts';
import { EditListener } from './live/editListener.ts';
import { LivePages } from './live/livePages.ts';
import { SetupStore } from './store/setupStore.ts';

/** The id of the set-up that an empty database gets. */
export const DEMO_ID = 'saltmarsh';

export interface RunningServer {
  readonly address: string;
  close(): Promise<void>;
}

/** Opens the database, loads the demo where it is empty, and serves. Resolves when requests are taken. */
export async function startServer(config: Config, version: string, log: Logger): Promise<RunningServer> {
  const source = await openDatabase(config.DATABASE_URL);
  const store = new SetupStore(source);
  if (await store.createFirst(DEMO_ID, demoSetup())) {
    log.info('The database was empty; the demo set-up was loaded.');
  }
  const furtherHosts = config.ALLOWED_HOSTS.split(',').filter(Boolean);
  const pages = new LivePages(store, (request) => isAllowed(request, furtherHosts), log);
  const listener = new EditListener(config.DATABASE_URL, (setUp) => pages.tell(setUp), log);
  await listener.open();
  const server = createServer(createApp({ config, source, store, version, furtherHosts, log }));
  pages.attach(server);
  await listen(server, config);
  const { port } = server.address() as AddressInfo;
  return {
    address: `http://${config.HOST}:${port}`,
    close: async () => {
      pages.close();
      await new Promise<void>((resolve) => {
        server.close(() => resolve());
        server.closeIdleConnections();
        setTimeout(() => server.closeAllConnections(), 1000).unref();
      });
      await listener.close();
      await source.destroy();
    },
  };
}

function listen(server: Server, config: Config): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.PORT, config.HOST, resolve);
  });
}
