import { type AddressInfo, connect, createServer, type Socket } from 'node:net';

export interface TcpProxy {
  /** The address by way of the proxy. */
  readonly url: string;
  /** Lets everything through, or refuses and tears all connections, or takes them and answers nothing. */
  set(mode: 'up' | 'down' | 'frozen'): Promise<void>;
  /** Tears the connections there are; new ones are let through. */
  readonly tear: () => void;
  /** Connections that are open now. */
  readonly count: () => number;
  close(): Promise<void>;
}

/** Stands before a server, so that a test can take it away from those who use it. */
export async function tcpProxy(url: string): Promise<TcpProxy> {
  const target = new URL(url);
  const pairs = new Set<{ near: Socket; far: Socket }>();
  let mode: 'up' | 'down' | 'frozen' = 'up';
  const server = createServer((near) => {
    const far = connect(Number(target.port), target.hostname);
    const pair = { near, far };
    pairs.add(pair);
    const end = () => {
      pairs.delete(pair);
      near.destroy();
      far.destroy();
    };
    for (const socket of [near, far]) socket.on('error', end).on('close', end);
    near.on('data', (data) => (mode === 'frozen' ? undefined : far.write(data)));
    far.on('data', (data) => (mode === 'frozen' ? undefined : near.write(data)));
  });
  const listen = (port: number) =>
    new Promise<void>((resolve) => server.listen(port, '127.0.0.1', () => resolve()));
  await listen(0);
  const { port } = server.address() as AddressInfo;
  const own = new URL(url);
  own.port = String(port);
  const tear = () => {
    for (const { near } of pairs) near.resetAndDestroy();
  };
  const stop = () => new Promise<void>((resolve) => server.close(() => resolve()));
  return {
    url: own.href,
    set: async (next) => {
      const before = mode;
      mode = next;
      if (next === 'down') {
        const stopped = stop();
        tear();
        await stopped;
      } else if (before === 'down') await listen(port);
    },
    tear,
    count: () => pairs.size,
    close: async () => {
      const stopped = mode === 'down' ? Promise.resolve() : stop();
      tear();
      await stopped;
    },
  };
}
