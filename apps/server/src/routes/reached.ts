import type { Reached } from '@nimble-lever/core/desks';
import { Router } from 'express';
import type { Hosts } from '../access/hosts.ts';

/** How the server is reached from other devices, by its own settings and the computer's networks. */
export function reachedRoute(hosts: Hosts, isEncrypted: boolean): Router {
  const router = Router();
  router.get('/', (request, response) => {
    response.json(reached(hosts, isEncrypted, request.socket.localPort ?? 0));
  });
  return router;
}

/** Under which addresses pages may be opened that do not come from this computer. */
export function reached(hosts: Hosts, isEncrypted: boolean, port: number): Reached {
  return {
    listens: hosts.isLoopback ? 'loopback' : 'network',
    addresses: hosts.elsewhere().map((name) => `${isEncrypted ? 'https' : 'http'}://${name}:${port}`),
    isEncrypted,
    port,
  };
}
