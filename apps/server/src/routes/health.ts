import type { IncomingMessage } from 'node:http';
import { setUpListSchema } from '@nimble-lever/core/setup';
import { Router } from 'express';
import { databaseProblem } from '../problem/problem.ts';
import type { StoreClient } from '../worker/storeClient.ts';

/** Which server this is, told to whoever asks whether it works. */
export interface About {
  readonly version: string;
  readonly instance: string;
}

/**
 * Who this is and whether it works: version, database state and, for those who may see it, revisions of the set-ups.
 */
export function healthRoute(
  store: StoreClient,
  { version, instance }: About,
  mayRead: (request: IncomingMessage) => Promise<boolean>,
): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const about = { name: 'Nimble Lever', version, instance };
    const { status, body } = await store.ask({ kind: 'health' });
    if (status >= 400) throw databaseProblem({ ...about, database: 'down', revision: null });
    const up = { ...about, database: 'up' };
    if (!(await mayRead(request))) {
      response.json(up);
      return;
    }
    const setUps = setUpListSchema.parse(JSON.parse(new TextDecoder().decode(body)));
    response.json({ ...up, revision: setUps[0]?.revision ?? null, setUps });
  });
  return router;
}
