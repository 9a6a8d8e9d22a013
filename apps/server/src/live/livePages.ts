import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import type { LogEntry } from '@nimble-lever/core/setup';
import type { Logger } from 'pino';
import { WebSocket, WebSocketServer } from 'ws';
import { z } from 'zod';
import type { SetupStore } from '../store/setupStore.ts';

const HEARTBEAT_MS = 30_000;
const querySchema = z.object({ setUp: z.string().max(64), after: z.coerce.number().int().min(0) });

interface LivePage {
  readonly socket: WebSocket;
  readonly setUp: string;
  /** The newest revision sent to it. */
  revision: number;
  alive: boolean;
}

/** The open pages: each is told of every edit after the revision it has. */
export class LivePages {
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: 1024 });
  readonly #pages = new Set<LivePage>();
  readonly #heartbeat: NodeJS.Timeout;
  /** One run of telling after the other, so that entries are never sent out of order. */
  #telling: Promise<void> = Promise.resolve();

  constructor(
    private readonly store: SetupStore,
    private readonly allowed: (request: IncomingMessage) => boolean,
    private readonly log: Logger,
  ) {
    this.#heartbeat = setInterval(() => this.#beat(), HEARTBEAT_MS);
  }

  /** Takes WebSocket connections to `/api/live?setUp=…&after=…` on an HTTP server. */
  attach(server: Server): void {
    server.on('upgrade', (request, socket, head) => this.#upgrade(request, socket, head));
  }

  /** Sends every page of a set-up (of all, for null) the entries it does not have yet. */
  tell(setUp: string | null): void {
    this.#telling = this.#telling
      .then(() => this.#tellNow(setUp))
      .catch((error: unknown) => this.log.error({ err: error }, 'Open pages could not be told of an edit.'));
  }

  close(): void {
    clearInterval(this.#heartbeat);
    for (const { socket } of this.#pages) socket.close(1001, 'The server stops.');
    this.#sockets.close();
  }

  #upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    const url = new URL(request.url ?? '/', 'http://local');
    const query = querySchema.safeParse(Object.fromEntries(url.searchParams));
    if (url.pathname !== '/api/live' || !query.success || !this.allowed(request)) {
      socket.end('HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n');
      return;
    }
    this.#sockets.handleUpgrade(request, socket, head, (client) => {
      const page: LivePage = {
        socket: client,
        setUp: query.data.setUp,
        revision: query.data.after,
        alive: true,
      };
      this.#pages.add(page);
      client.on('close', () => this.#pages.delete(page));
      client.on('error', () => client.terminate());
      client.on('pong', () => {
        page.alive = true;
      });
      this.tell(page.setUp);
    });
  }

  async #tellNow(setUp: string | null): Promise<void> {
    const setUps = new Set([...this.#pages].map((page) => page.setUp));
    for (const id of setUp === null ? setUps : setUps.has(setUp) ? [setUp] : []) {
      const pages = [...this.#pages].filter((page) => page.setUp === id);
      const oldest = Math.min(...pages.map(({ revision }) => revision));
      const entries = await this.store.entriesAfter(id, oldest);
      for (const page of pages) send(page, entries);
    }
  }

  #beat(): void {
    for (const page of this.#pages) {
      if (!page.alive) page.socket.terminate();
      page.alive = false;
      page.socket.ping();
    }
  }
}

function send(page: LivePage, entries: readonly LogEntry[]): void {
  const news = entries.filter(({ revision }) => revision > page.revision);
  if (news.length === 0 || page.socket.readyState !== WebSocket.OPEN) return;
  page.socket.send(JSON.stringify({ kind: 'edits', entries: news }));
  page.revision = news.at(-1)?.revision ?? page.revision;
}
