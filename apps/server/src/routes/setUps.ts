import { MOST_REQUEST_BYTES } from '@nimble-lever/core/setup';
import express, { Router } from 'express';
import type { Query } from '../worker/messages.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import { send, sentBytes } from './send.ts';

/** Reading set-ups and saving edits to them. What is sent is read, and what is answered written, by the worker. */
export function setUpRoutes(store: StoreClient): Router {
  const router = Router();
  const body = express.raw({ type: () => true, limit: MOST_REQUEST_BYTES });

  router.get('/', async (_request, response) => {
    send(response, await store.ask({ kind: 'list' }));
  });
  router.get('/:id', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'read', id, query: plain(query) }));
  });
  router.get('/:id/edits', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'entries', id, query: plain(query) }));
  });
  router.get('/:id/file', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'set-up-file', id }));
  });
  router.post('/:id/edits', body, async (request, response) => {
    const { id } = request.params;
    send(response, await store.ask({ kind: 'append', id, body: sentBytes(request.body) }));
  });
  return router;
}

/** The set-up that is shown first, by one request: a page that opens knows no ids. */
export function firstSetUpRoute(store: StoreClient): Router {
  const router = Router();
  router.get('/', async ({ query }, response) => {
    send(response, await store.ask({ kind: 'read-first', query: plain(query) }));
  });
  return router;
}

/** A query with nothing in it but what may go to another thread. */
function plain(query: object): Query {
  return JSON.parse(JSON.stringify(query));
}
