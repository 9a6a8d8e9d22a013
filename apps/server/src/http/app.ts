import path from 'node:path';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { type Access, NotPaired } from '../access/access.ts';
import { guard } from '../access/guard.ts';
import type { Hosts } from '../access/hosts.ts';
import { keepToRights } from '../access/rights.ts';
import type { Config } from '../config.ts';
import { Problem } from '../problem/problem.ts';
import { apiRoutes } from '../routes/apiPage.ts';
import { healthRoute } from '../routes/health.ts';
import { pairingRoutes, pairRoute, visitorRoute } from '../routes/pairings.ts';
import { pictureRoutes } from '../routes/pictures.ts';
import { reachedRoute } from '../routes/reached.ts';
import { firstSetUpRoute, setUpRoutes, storageRoute } from '../routes/setUps.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import { answerProblems } from './answerProblems.ts';
import { panelManifest } from './panelManifest.ts';

/** What the application is made of, handed in so that tests can start it on a store of their own. */
interface Parts {
  readonly config: Config;
  readonly store: StoreClient;
  readonly access: Access;
  /** Told by the health page, so that a person knows what runs. */
  readonly version: string;
  readonly hosts: Hosts;
  readonly isEncrypted: boolean;
  readonly log: Logger;
}

/** The API, and the built page beside it where there is one. */
export function createApp({ config, store, access, version, hosts, isEncrypted, log }: Parts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.disable('etag');
  if (log.isLevelEnabled('info')) {
    app.use(
      pinoHttp({ logger: log, autoLogging: { ignore: (request) => !request.url?.startsWith('/api') } }),
    );
  }
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives: contentPolicy }, hsts: false }));
  app.use(guard(hosts), refuseUndecodable);

  const api = express.Router();
  const about = { version, instance: config.INSTANCE };
  api.use(
    '/health',
    healthRoute(store, about, async (request) => {
      const visitor = await access.visitor(request);
      return visitor?.rights.may === 'everything';
    }),
  );
  api.use('/pair', pairRoute(store, access));
  api.use(access.guard, keepToRights);
  api.use('/visitor', visitorRoute());
  api.use('/pairings', pairingRoutes(store));
  api.use('/set-ups', setUpRoutes(store));
  api.use('/set-up', firstSetUpRoute(store));
  api.use('/storage', storageRoute(store));
  api.use('/pictures', pictureRoutes(store));
  api.use('/reached', reachedRoute(hosts, isEncrypted));
  api.use(apiRoutes(version));
  app.use('/api', api);
  if (config.WEB_DIST !== '') serveToAll(app, config.WEB_DIST);
  app.use(access.guard, askToPair, keepToRights);
  if (config.WEB_DIST !== '') servePages(app, config.WEB_DIST);
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

/**
 * What the pages are made of is no secret, and the one that pairs a browser is for those who may not come in yet. Files
 * with a hash in their name never change.
 */
function serveToAll(app: Express, dist: string): void {
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
  app.get('/pair', sendPage(dist, 'pair.html'));
  for (const icon of ICONS) app.get(`/${icon}`, sendPage(dist, icon));
}

/** An address with half an escaped character is none; what serves files would answer in its own words. */
function refuseUndecodable(request: Request, _response: Response, next: NextFunction): void {
  try {
    decodeURIComponent(request.path);
  } catch {
    throw new Problem(400, 'Not an address', 'The address has a “%” that begins no character.');
  }
  next();
}

/** A page is asked for each time. */
function sendPage(dist: string, name: string) {
  return (_request: Request, response: Response): void => {
    response.set('Cache-Control', 'no-cache').sendFile(name, { root: dist });
  };
}

function servePages(app: Express, dist: string): void {
  app.use(express.static(dist, { index: false }));
  app.get('/panel/:device/app.webmanifest', ({ params: { device }, query }, response) => {
    const setUp = query['set-up'];
    const manifest = panelManifest(device, typeof setUp === 'string' ? setUp : null);
    response.type('application/manifest+json').json(manifest);
  });
  // A panel in use is a page of its own.
  app.get(/^\/panel\//, sendPage(dist, 'panel.html'));
  // Any other address is a view of the page, which finds it itself. From its folder, as one whose path has a name with
  // a dot would not be sent else.
  app.get(/^\/(?!(?:api|assets)(?:\/|$))/, sendPage(dist, 'index.html'));
}

const ICONS = ['icon.svg', 'icon-192.png', 'icon-512.png'] as const;

/** A page that is opened by a browser nobody paired becomes the page that pairs it, which goes on to where it wanted. */
function askToPair(error: unknown, request: Request, response: Response, next: NextFunction): void {
  if (!(error instanceof NotPaired) || request.method !== 'GET' || request.path.startsWith('/api/')) {
    next(error);
    return;
  }
  response.redirect(303, `/pair?to=${encodeURIComponent(request.path)}`);
}
