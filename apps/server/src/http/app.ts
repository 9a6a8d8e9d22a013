import path from 'node:path';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { DataSource } from 'typeorm';
import type { Config } from '../config.ts';
import { healthRoute } from '../routes/health.ts';
import { setUpRoutes } from '../routes/setUps.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { guard } from './guard.ts';
import { answerProblems, Problem } from './problem.ts';

interface Parts {
  readonly config: Config;
  readonly source: DataSource;
  readonly store: SetupStore;
  readonly version: string;
  readonly furtherHosts: readonly string[];
  readonly log: Logger;
}

/** The API, and the built page beside it where there is one. */
export function createApp({ config, source, store, version, furtherHosts, log }: Parts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: log, autoLogging: { ignore: (request) => !request.url?.startsWith('/api') } }));
  app.use(guard(furtherHosts));
  app.use(helmet({ contentSecurityPolicy: { directives: contentPolicy } }));

  const api = express.Router();
  api.use(express.json({ limit: '2mb' }));
  api.use('/health', healthRoute(source, store, version, config.INSTANCE));
  api.use('/set-ups', setUpRoutes(store));
  api.use((request) => {
    throw new Problem(404, 'Not here', `There is nothing at ${request.method} ${request.path}.`);
  });
  app.use('/api', api);

  if (config.WEB_DIST !== '') servePage(app, config.WEB_DIST);
  app.use(answerProblems(log));
  return app;
}

/** Everything from this server; styles inline too, since the theme writes them as the page runs. */
const contentPolicy = {
  defaultSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  upgradeInsecureRequests: null,
};

function servePage(app: Express, dist: string): void {
  app.use(
    '/assets',
    express.static(path.join(dist, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(dist, { index: false }));
  app.get('/{*view}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(path.join(dist, 'index.html'));
  });
}
