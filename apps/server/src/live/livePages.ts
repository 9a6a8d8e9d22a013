import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { idSchema } from '@nimble-lever/core/devices';
import { revisionSchema, WIRE_VERSION } from '@nimble-lever/core/setup';
import type { Logger } from 'pino';
import { WebSocket, WebSocketServer } from 'ws';
import { z } from 'zod';
import { Problem, problemJson } from '../problem/problem.ts';
import type { News } from '../worker/messages.ts';
import type { StoreClient } from '../worker/storeClient.ts';

/**
 * A page that does not answer two of these is gone; proxies cut silent connections after a minute or more.
 */
const HEARTBEAT_MS = 30_000;
/** A page that takes nothing in is let go when so much waits for it: bytes. It connects again and asks. */
const MOST_WAITING = 8_000_000;
/** Messages nobody expects are answered, up to so many; then the page is let go. */
const MOST_UNEXPECTED = 20;

/** What a page says in the address when it connects: which set-up, and what it has of it. */
const querySchema = z.object({ setUp: idSchema, after: z.coerce.number().pipe(revisionSchema) });
/** What the worker says a page has missed; null where it is more than is told at once. */
const missedSchema = z.object({ to: revisionSchema, text: z.string().nullable() });
/** The first message: a page of another version of the wire loads itself anew. */
const HELLO = JSON.stringify({ kind: 'hello', version: WIRE_VERSION });
/** Told to a page that missed more than is sent: it reads the set-up instead. */
const BEHIND = JSON.stringify({ kind: 'behind' });
/** A page only listens. One that talks is told so, and is closed if it goes on. */
const REFUSED = JSON.stringify({ kind: 'refused', detail: 'The server expects no messages here.' });

/** A connection and how far its page is. */
interface LivePage {
  readonly socket: WebSocket;
  /** It hears of this set-up only. */
  readonly setUp: string;
  /** The newest revision it has, or null while what it missed is asked for. */
  revision: number | null;
  alive: boolean;
  unexpected: number;
}

/** The open pages: each is told of every edit after the revision it has. */
export class LivePages {
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: 65_536 });
  readonly #pages = new Map<string, Set<LivePage>>();
  /** The newest revision that was told of, by set-up. */
  readonly #newest = new Map<string, number>();
  /** What was missed after a revision, asked for once for all that ask at the same time. */
  readonly #asked = new Map<string, Promise<z.infer<typeof missedSchema> | null>>();
  readonly #heartbeat: NodeJS.Timeout;

  constructor(
    private readonly store: StoreClient,
    private readonly allowed: (request: IncomingMessage) => boolean,
    private readonly log: Logger,
  ) {
    this.#heartbeat = setInterval(() => this.#beat(), HEARTBEAT_MS);
    this.#sockets.on('wsClientError', (_error, socket) => socket.destroy());
  }

  /** Takes WebSocket connections to `/api/live?setUp=…&after=…` on an HTTP server. */
  attach(server: Server): void {
    server.on('upgrade', (request, socket, head) => {
      // Whatever the other side does with its end, it must not end this process.
      socket.on('error', () => socket.destroy());
      try {
        this.#upgrade(request, socket, head);
      } catch (error) {
        this.log.error({ err: error }, 'A connection could not be taken.');
        refuse(socket, new Problem(500, 'Something went wrong here', 'The connection could not be taken.'));
      }
    });
  }

  /** Tells the pages of a set-up that it went from one revision to another. */
  tell({ setUp, from, to, body }: News): void {
    this.#newest.set(setUp, to);
    const text = body && Buffer.from(body.buffer, body.byteOffset, body.byteLength);
    for (const page of this.#pages.get(setUp) ?? []) {
      if (page.revision === null || page.revision >= to) continue;
      if (text && page.revision === from) this.#send(page, text, to);
      else void this.#tellMissed(page);
    }
  }

  get count(): number {
    return this.#sockets.clients.size;
  }

  close(): void {
    clearInterval(this.#heartbeat);
    for (const socket of this.#sockets.clients) socket.close(1001, 'The server stops.');
    this.#sockets.close();
  }

  /** Refused before the handshake: a page that may not enter learns nothing but that. */
  #upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    if (!this.allowed(request)) {
      const detail = 'This server answers only to its own pages, under its own address.';
      refuse(socket, new Problem(403, 'Not from here', detail));
      return;
    }
    const [path = '', query = ''] = (request.url ?? '').split('?');
    const asked = querySchema.safeParse(Object.fromEntries(new URLSearchParams(query)));
    if (path !== '/api/live' || !asked.success) {
      refuse(socket, new Problem(404, 'Not here', 'There is no live connection at this address.'));
      return;
    }
    this.#sockets.handleUpgrade(request, socket, head, (client) =>
      this.#open(client, asked.data.setUp, asked.data.after),
    );
  }

  /** From here on the page is told of every edit; what it missed until now is told first. */
  #open(socket: WebSocket, setUp: string, after: number): void {
    const page: LivePage = { socket, setUp, revision: after, alive: true, unexpected: 0 };
    const pages = this.#pages.get(setUp) ?? new Set();
    this.#pages.set(setUp, pages.add(page));
    socket.on('close', () => {
      pages.delete(page);
      if (pages.size === 0) this.#pages.delete(setUp);
    });
    socket.on('error', () => socket.terminate());
    socket.on('pong', () => {
      page.alive = true;
    });
    socket.on('message', () => {
      page.unexpected += 1;
      if (page.unexpected > MOST_UNEXPECTED) socket.close(1008, 'No messages are expected.');
      else socket.send(REFUSED);
    });
    socket.send(HELLO);
    void this.#tellMissed(page);
  }

  /** Tells a page what came after the revision it has, until it has all. */
  async #tellMissed(page: LivePage): Promise<void> {
    const after = page.revision;
    if (after === null) return;
    page.revision = null;
    const missed = await this.#missed(page.setUp, after);
    if (!missed) {
      // It is unknown what was missed; the page asks again when it connects again.
      page.socket.close(1013, 'Try again later.');
      return;
    }
    page.revision = after;
    if (missed.text === null) {
      this.#send(page, BEHIND, missed.to);
      return;
    }
    if (missed.to > after) this.#send(page, missed.text, missed.to);
    const newest = this.#newest.get(page.setUp) ?? missed.to;
    if (page.revision !== null && newest > page.revision) await this.#tellMissed(page);
  }

  /** What was saved since a revision. Pages that come back together ask once: a restart brings them all. */
  #missed(setUp: string, after: number): Promise<z.infer<typeof missedSchema> | null> {
    const key = `${setUp} ${after}`;
    const known = this.#asked.get(key);
    if (known) return known;
    const asked = this.store.ask({ kind: 'missed', id: setUp, after }).then(({ status, body }) => {
      this.#asked.delete(key);
      if (status >= 400) return null;
      return missedSchema.parse(JSON.parse(new TextDecoder().decode(body)));
    });
    this.#asked.set(key, asked);
    return asked;
  }

  /** A page that does not take what it is sent is let go, so that it cannot fill the memory of all. */
  #send(page: LivePage, text: string | Buffer, revision: number): void {
    page.revision = revision;
    if (page.socket.readyState !== WebSocket.OPEN) return;
    if (page.socket.bufferedAmount > MOST_WAITING) page.socket.terminate();
    else page.socket.send(text, { binary: false });
  }

  /** A connection that answers no ping is gone, though TCP may not notice for hours. */
  #beat(): void {
    for (const pages of this.#pages.values()) {
      for (const page of pages) {
        if (!page.alive) page.socket.terminate();
        page.alive = false;
        page.socket.ping();
      }
    }
  }
}

/** Refuses a connection with a problem, as a request would be. */
function refuse(socket: Duplex, problem: Problem): void {
  const body = problemJson(problem);
  const head = [
    `HTTP/1.1 ${problem.status} ${problem.title}`,
    'Content-Type: application/problem+json; charset=utf-8',
    `Content-Length: ${Buffer.byteLength(body)}`,
    'Connection: close',
  ];
  socket.end(`${head.join('\r\n')}\r\n\r\n${body}`);
}
