import { MOST_IMPORT_BYTES, MOST_REQUEST_BYTES } from '@nimble-lever/core/setup';
import express, { Router } from 'express';
import type { Query } from '../worker/messages.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import { send, sentBytes } from './send.ts';

/** Reading set-ups and saving edits to them. What is sent is read, and what is answered written, by the worker. */
export function setUpRoutes(store: StoreClient): Router {
  const router = Router();
  const body = express.raw({ type: () => true, limit: MOST_REQUEST_BYTES });
  const large = express.raw({ type: () => true, limit: MOST_IMPORT_BYTES });

  router.get('/', async (_request, response) => {
    send(response, await store.ask({ kind: 'list' }));
  });
  router.post('/', body, async (request, response) => {
    send(response, await store.ask({ kind: 'create', body: sentBytes(request.body) }));
  });
  router.put('/:id/keeping', body, async (request, response) => {
    const { id = '' } = request.params;
    send(response, await store.ask({ kind: 'keep-for', id, body: sentBytes(request.body) }));
  });
  router.delete('/:id', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'bin', id }));
  });
  router.post('/:id/out-of-bin', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'unbin', id }));
  });
  router.get('/:id', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'read', id, query: plain(query) }));
  });
  router.get('/:id/edits', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'entries', id, query: plain(query) }));
  });
  router.get('/:id/file', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'set-up-file', id, query: plain(query) }));
  });
  router.get('/:id/bindings', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'bindings', id, query: plain(query) }));
  });
  router.post('/:id/import', large, async (request, response) => {
    const { id = '' } = request.params;
    send(response, await store.ask({ kind: 'import', id, body: sentBytes(request.body) }));
  });
  router.get('/:id/moments', async ({ params: { id }, query }, response) => {
    send(response, await store.ask({ kind: 'moments', id, query: plain(query) }));
  });
  router.get('/:id/states/:revision', async ({ params: { id, revision } }, response) => {
    send(response, await store.ask({ kind: 'state', id, revision }));
  });
  router.post('/:id/back', body, async (request, response) => {
    const { id = '' } = request.params;
    send(response, await store.ask({ kind: 'go-back', id, body: sentBytes(request.body) }));
  });
  router.get('/:id/snapshots', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'snapshots', id }));
  });
  router.post('/:id/snapshots', body, async (request, response) => {
    const { id = '' } = request.params;
    send(response, await store.ask({ kind: 'keep-snapshot', id, body: sentBytes(request.body) }));
  });
  router.put('/:id/snapshots/:snapshot', body, async (request, response) => {
    const { id = '', snapshot = '' } = request.params;
    const sent = sentBytes(request.body);
    send(response, await store.ask({ kind: 'rename-snapshot', id, snapshot, body: sent }));
  });
  router.delete('/:id/snapshots/:snapshot', async ({ params: { id, snapshot } }, response) => {
    send(response, await store.ask({ kind: 'remove-snapshot', id, snapshot }));
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

/** What is kept on the disk, and when it was backed up. */
export function storageRoute(store: StoreClient): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    send(response, await store.ask({ kind: 'storage' }));
  });
  return router;
}

/** A query with nothing in it but what may go to another thread. */
function plain(query: object): Query {
  return JSON.parse(JSON.stringify(query));
}
