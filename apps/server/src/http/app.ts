import path from 'node:path';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Config } from '../config.ts';
import { Problem } from '../problem/problem.ts';
import { apiRoutes } from '../routes/apiPage.ts';
import { healthRoute } from '../routes/health.ts';
import { pictureRoutes } from '../routes/pictures.ts';
import { reachedRoute } from '../routes/reached.ts';
import { firstSetUpRoute, setUpRoutes } from '../routes/setUps.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import type { Access } from './access.ts';
import { answerProblems } from './answerProblems.ts';
import { guard } from './guard.ts';
import { panelManifest } from './panelManifest.ts';

/** What the application is made of, handed in so that tests can start it on a store of their own. */
interface Parts {
  readonly config: Config;
  readonly store: StoreClient;
  readonly access: Access;
  /** Told by the health page, so that a person knows what runs. */
  readonly version: string;
  /** Names in `Host` that are answered besides those of loopback. */
  readonly furtherHosts: readonly string[];
  readonly log: Logger;
}

/** The API, and the built page beside it where there is one. */
export function createApp({ config, store, access, version, furtherHosts, log }: Parts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  if (log.isLevelEnabled('info')) {
    app.use(
      pinoHttp({ logger: log, autoLogging: { ignore: (request) => !request.url?.startsWith('/api') } }),
    );
  }
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives: contentPolicy }, hsts: false }));
  app.use(guard(furtherHosts));

  const api = express.Router();
  const about = { version, instance: config.INSTANCE };
  api.use(
    '/health',
    healthRoute(store, about, (headers) => access.mayEnter(headers)),
  );
  api.use(access.guard);
  api.use('/set-ups', setUpRoutes(store));
  api.use('/set-up', firstSetUpRoute(store));
  api.use('/pictures', pictureRoutes(store));
  api.use('/reached', reachedRoute(config, furtherHosts));
  api.use(apiRoutes(version));
  app.use('/api', api);
  app.use(access.guard);
  if (config.WEB_DIST !== '') servePage(app, config.WEB_DIST);
  app.use((request) => {
    throw new Problem(404, 'Not here', `There is nothing at ${request.method} ${request.path}.`);
  });
  app.use(answerProblems(log));
  return app;
}

/** Everything from this server; styles inline too, since the theme writes them as the page runs. */
const contentPolicy = {
  defaultSrc: ["'self'"],
  baseUri: ["'self'"],
  connectSrc: ["'self'"],
  fontSrc: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
  imgSrc: ["'self'", 'data:'],
  objectSrc: ["'none'"],
  scriptSrc: ["'self'"],
  scriptSrcAttr: ["'none'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
};

/** Files with a hash in their name never change; the page itself is asked for each time. */
function servePage(app: Express, dist: string): void {
  app.use(
    '/assets',
    // Compressed when they were built: brotli for who takes it, else gzip, else as they are.
    expressStaticGzip(path.join(dist, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  app.use(express.static(dist, { index: false }));
  app.get('/panel/:device/app.webmanifest', ({ params: { device } }, response) => {
    response.type('application/manifest+json').json(panelManifest(device));
  });
  // A panel in use is a page of its own.
  app.get(/^\/panel\//, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('panel.html', { root: dist });
  });
  // Any other address is a view of the page, which finds it itself. From its folder, as one whose path has a name with
  // a dot would not be sent else.
  app.get(/^\/(?!(?:api|assets)(?:\/|$))/, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: dist });
  });
}
