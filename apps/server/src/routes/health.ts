import { Router } from 'express';
import type { DataSource } from 'typeorm';
import { databaseProblem } from '../http/problem.ts';
import type { SetupStore } from '../store/setupStore.ts';

/** Who this is and whether it works: version, database state, revisions of the set-ups. */
export function healthRoute(
  source: DataSource,
  store: SetupStore,
  version: string,
  instance: string,
): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    const about = { name: 'Nimble Lever', version, instance };
    try {
      await source.query('SELECT 1');
      const setUps = await store.list();
      const revision = setUps[0]?.revision ?? null;
      response.json({ ...about, database: 'up', revision, setUps });
    } catch {
      throw databaseProblem({ ...about, database: 'down', revision: null });
    }
  });
  return router;
}
