import { pairAnswerSchema } from '@nimble-lever/core/desks';
import express, { type Request, type Response, Router } from 'express';
import type { Access } from '../access/access.ts';
import { visitorOf } from '../access/rights.ts';
import { TryingCodes } from '../access/tryingCodes.ts';
import { Problem } from '../problem/problem.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import { send, sentBytes } from './send.ts';

/** Codes and names are short: bytes. */
const MOST_BYTES = 2000;
const body = express.raw({ type: () => true, limit: MOST_BYTES });

/** For browsers that may not come in yet: the one thing they may ask. */
export function pairRoute(store: StoreClient, access: Access): Router {
  const router = Router();
  const trying = new TryingCodes();
  router.post('/', body, async (request: Request, response: Response) => {
    const address = request.socket.remoteAddress ?? '';
    const seconds = Math.ceil(trying.waits(address) / 1000);
    if (seconds > 0) {
      const detail = `Too many codes were wrong. Wait ${seconds} s, then type the code again.`;
      response.set('Retry-After', String(seconds));
      throw new Problem(429, 'Too many wrong codes', detail);
    }
    const { secret, token } = access.newSecret();
    const before = access.tokenOf(request);
    const answer = await store.ask({ kind: 'pair', body: sentBytes(request.body), token, before });
    if (answer.status < 400) {
      access.give(response, secret);
      response.json(pairAnswerSchema.parse(JSON.parse(new TextDecoder().decode(answer.body))));
    } else {
      // RFC 9110, 15.5.4: the code was understood, and is none that is good.
      if (answer.status === 403) trying.wasWrong(address);
      send(response, answer);
    }
  });
  return router;
}

/** For those who may do everything: codes, and the browsers they let in. */
export function pairingRoutes(store: StoreClient): Router {
  const router = Router();
  router.post('/codes', body, async (request, response) => {
    send(response, await store.ask({ kind: 'make-code', body: sentBytes(request.body) }));
  });
  router.get('/codes/:id', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'code', id }));
  });
  router.delete('/codes/:id', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'withdraw-code', id }));
  });
  router.get('/', async (_request, response) => {
    send(response, await store.ask({ kind: 'paired', own: visitorOf(response).pairing }));
  });
  router.delete('/:id', async ({ params: { id } }, response) => {
    send(response, await store.ask({ kind: 'forget', id }));
  });
  return router;
}

/** Who asks, as the server takes it. */
export function visitorRoute(): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    const { rights, pairing } = visitorOf(response);
    response.json({ rights, isPaired: pairing !== null });
  });
  return router;
}
