import { createServer } from 'node:net';

/**
 * Below the range from which the system takes ports for outgoing connections (32768 to 60999 on Linux, see
 * /proc/sys/net/ipv4/ip_local_port_range): there, a client that tries again and again to reach a server that is gone
 * may one day be given that very port, connect to itself, and keep the server from coming back.
 */
const [FIRST, LAST] = [20_000, 32_000];
const TRIES = 200;

/** Whether nothing uses a port on loopback now. */
export function isFree(port) {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/** A port on loopback that nothing uses now. */
export async function freePort() {
  for (let i = 0; i < TRIES; i++) {
    const port = FIRST + Math.floor(Math.random() * (LAST - FIRST));
    if (await isFree(port)) return port;
  }
  throw new Error(`No port from ${FIRST} to ${LAST} is free.`);
}
