import { MOST_PICTURE_BYTES } from '@nimble-lever/core/devices';
import express, { Router } from 'express';
import type { StoreClient } from '../worker/storeClient.ts';
import { send, sentBytes } from './send.ts';

/** Pictures of faces: taken in as files, given as they are kept. */
export function pictureRoutes(store: StoreClient): Router {
  const router = Router();
  const body = express.raw({ type: () => true, limit: MOST_PICTURE_BYTES });

  router.get('/:id', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'picture', id }));
  });
  router.put('/:id', body, async (request, response) => {
    const { id = '' } = request.params;
    send(response, await store.ask({ kind: 'keep-picture', id, body: sentBytes(request.body) }));
  });
  router.post('/', body, async (request, response) => {
    send(
      response,
      await store.ask({ kind: 'add-picture', body: sentBytes(request.body), query: request.query }),
    );
  });
  return router;
}
