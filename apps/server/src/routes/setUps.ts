import { idSchema } from '@nimble-lever/core/devices';
import { entrySchema } from '@nimble-lever/core/setup';
import { Router } from 'express';
import { z } from 'zod';
import { Problem, readInput, refusalProblem } from '../http/problem.ts';
import type { SetupStore } from '../store/setupStore.ts';

const editsBody = z.strictObject({
  /** The revision the edits were made on. */
  base: z.number().int().min(0),
  entries: z.array(entrySchema).min(1).max(500),
});
const afterQuery = z.object({ after: z.coerce.number().int().min(0) });

/** How much of the log a page gets with the set-up: what can be undone after a reload. */
const HISTORY = 200;

/** Reading set-ups and appending edits to them. */
export function setUpRoutes(store: SetupStore): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await store.list());
  });

  router.get('/:id', async (request, response) => {
    const id = readInput(idSchema, request.params.id);
    const stored = await store.read(id);
    if (!stored) throw unknownSetUp(id);
    const log = (await store.newestEntries(id, HISTORY)).filter(
      ({ revision }) => revision <= stored.revision,
    );
    response.json({ ...stored, log });
  });

  router.get('/:id/edits', async (request, response) => {
    const id = readInput(idSchema, request.params.id);
    const { after } = readInput(afterQuery, request.query);
    response.json(await store.entriesAfter(id, after));
  });

  router.post('/:id/edits', async (request, response) => {
    const id = readInput(idSchema, request.params.id);
    const { base, entries } = readInput(editsBody, request.body);
    const outcome = await store.append(id, base, entries);
    switch (outcome.kind) {
      case 'saved':
        response.json({ revision: outcome.revision, entries: outcome.entries });
        return;
      case 'stale': {
        const { revision, missed } = outcome;
        const detail = `The set-up is at revision ${revision}, not ${base}. Nothing was changed; apply what was missed and send again.`;
        throw new Problem(409, 'Someone edited in between', detail, { revision, missed });
      }
      case 'refused':
        throw refusalProblem(outcome.entry, outcome.refusal);
      case 'unknown':
        throw unknownSetUp(id);
    }
  });

  return router;
}

function unknownSetUp(id: string): Problem {
  return new Problem(404, 'No such set-up', `There is no set-up “${id}”.`);
}
