import { networkInterfaces } from 'node:os';
import type { Reached } from '@nimble-lever/core/desks';
import { Router } from 'express';
import type { Config } from '../config.ts';

/** What decides how the server is reached. */
type Listening = Pick<Config, 'HOST' | 'ACCESS'>;

/** An address that only this computer has (RFC 1122, 3.2.1.3; RFC 4291, 2.5.3). */
const LOOPBACK = /^(127\.|localhost$|::1$)/;

/** How the server is reached from other devices, by its own settings and the computer's networks. */
export function reachedRoute(config: Listening, furtherHosts: readonly string[]): Router {
  const router = Router();
  router.get('/', (request, response) => {
    response.json(reached(config, furtherHosts, request.socket.localPort ?? 0));
  });
  return router;
}

/** Under which addresses pages may be opened that do not come from this computer. */
export function reached({ HOST, ACCESS }: Listening, furtherHosts: readonly string[], port: number): Reached {
  const isLoopback = LOOPBACK.test(HOST);
  const own = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  return {
    listens: isLoopback ? 'loopback' : 'network',
    addresses: isLoopback ? [] : furtherHosts.map((name) => `http://${name}:${port}`),
    own,
    port,
    asksForKey: ACCESS === 'key',
  };
}
