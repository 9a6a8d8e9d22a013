import { type AddressInfo, connect, createServer, type Socket } from 'node:net';

/** A network that takes its time. */
export interface SlowLine {
  /** The server's address by way of it. */
  readonly address: string;
  /** How long what is sent from now on takes to the server: milliseconds. What was sent before still comes before. */
  setDelay(ms: number): void;
  close(): Promise<void>;
}

/** Stands before a server; what goes to it and comes from it takes so long, each way: milliseconds. */
export async function slowLine(to: string, ms: number): Promise<SlowLine> {
  const { hostname, port } = new URL(to);
  let delay = ms;
  const sockets = new Set<Socket>();
  const server = createServer((near) => {
    const far = connect(Number(port), hostname);
    for (const socket of [near, far]) {
      sockets.add(socket);
      socket.on('error', () => undefined);
      socket.on('close', () => {
        near.destroy();
        far.destroy();
      });
    }
    pass(near, far, () => delay);
    pass(far, near, () => ms);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', () => resolve()));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    setDelay: (next) => {
      delay = next;
    },
    close: async () => {
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

/** Hands on what one socket sends to another, each piece after the delay, none before an earlier one. */
function pass(from: Socket, to: Socket, delay: () => number): void {
  let last = 0;
  from.on('data', (data) => {
    const now = performance.now();
    last = Math.max(last, now + delay());
    setTimeout(() => to.write(data), last - now);
  });
}
