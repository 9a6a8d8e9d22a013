import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { MOST_MESSAGE_BYTES } from '@nimble-lever/core/desks';
import { idSchema } from '@nimble-lever/core/devices';
import { revisionSchema, WIRE_VERSION } from '@nimble-lever/core/setup';
import type { Logger } from 'pino';
import { WebSocket, WebSocketServer } from 'ws';
import { z } from 'zod';
import type { Visitor } from '../access/access.ts';
import { Problem, problemJson, toProblem } from '../problem/problem.ts';
import type { News } from '../worker/messages.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import type { Hub, Peer } from './hub.ts';

/**
 * A page that does not answer two of these is gone; proxies cut silent connections after a minute or more. A desk or a
 * remote is asked more often: what it holds down must come up soon.
 */
const HEARTBEAT_MS = 30_000;
const DESK_HEARTBEAT_MS = 2_000;
const MOST_UNANSWERED = 2;
/** With so much waiting for a desk, values are thinned: bytes. */
const BUSY = 65_536;
/** A page that takes nothing in is let go when so much waits for it: bytes. It connects again and asks. */
const MOST_WAITING = 8_000_000;
/** Messages nobody expects are answered, up to so many; then the page is let go. */
const MOST_UNEXPECTED = 20;

/** What a page says in the address when it connects: which set-up, and what it has of it; without, it hears no edits. */
const querySchema = z.object({ setUp: idSchema, after: z.coerce.number().pipe(revisionSchema).optional() });
/** What the worker says a page has missed; null where it is more than is told at once. */
const missedSchema = z.object({ to: revisionSchema, text: z.string().nullable() });
/** The first message: a page of another version of the wire loads itself anew. */
const HELLO = JSON.stringify({ kind: 'hello', version: WIRE_VERSION });
/** Told to a page that missed more than is sent: it reads the set-up instead. */
const BEHIND = JSON.stringify({ kind: 'behind' });
/** A connection and how far its page is. */
interface LivePage extends Peer {
  readonly socket: WebSocket;
  readonly pairing: string | null;
  /** Whether who opened it may still come in. */
  readonly mayStay: () => Promise<boolean>;
  /** The newest revision it has, or null while what it missed is asked for, or where it hears of none. */
  revision: number | null;
  /** How many heartbeats it has not answered. */
  unanswered: number;
  unexpected: number;
}

/** The open pages: each is told of every edit after the revision it has. */
export class LivePages {
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_MESSAGE_BYTES });
  readonly #open = new Set<LivePage>();
  readonly #pages = new Map<string, Set<LivePage>>();
  /** The newest revision that was told of, by set-up. */
  readonly #newest = new Map<string, number>();
  /** What was missed after a revision, asked for once for all that ask at the same time. */
  readonly #asked = new Map<string, Promise<z.infer<typeof missedSchema> | null>>();
  readonly #heartbeats: readonly NodeJS.Timeout[];

  constructor(
    private readonly store: StoreClient,
    /** Who opens a connection; null where it may not be opened. */
    private readonly enter: (request: IncomingMessage) => Promise<Visitor | null>,
    private readonly hub: Hub,
    private readonly log: Logger,
  ) {
    this.#heartbeats = [
      setInterval(() => this.#beat((page) => !this.hub.has(page)), HEARTBEAT_MS),
      // A paired browser is seen as long as it is connected.
      setInterval(() => this.forgotten(null), HEARTBEAT_MS),
      setInterval(() => this.#beat((page) => this.hub.has(page)), DESK_HEARTBEAT_MS),
    ];
    this.#sockets.on('wsClientError', (_error, socket) => socket.destroy());
  }

  /** Takes WebSocket connections to `/api/live?setUp=…&after=…` on an HTTP server. */
  attach(server: Server): void {
    server.on('upgrade', (request, socket, head) => {
      // Whatever the other side does with its end, it must not end this process.
      socket.on('error', () => socket.destroy());
      this.#upgrade(request, socket, head).catch((error: unknown) => {
        const problem = toProblem(error);
        if (problem.status === 500) this.log.error({ err: error }, 'A connection could not be taken.');
        refuse(socket, problem);
      });
    });
  }

  /** Tells the pages of a set-up that it went from one revision to another. */
  tell({ setUp, from, to, body }: News): void {
    this.#newest.set(setUp, to);
    const text = body && Buffer.from(body.buffer, body.byteOffset, body.byteLength);
    for (const page of this.#pages.get(setUp) ?? []) {
      if (page.revision === null) continue;
      // What led there cannot be told; it may even be another history, of which a page can have more than there is.
      if (!text) this.#send(page, BEHIND, to);
      else if (page.revision >= to) continue;
      else if (page.revision === from) this.#send(page, text, to);
      else void this.#tellMissed(page);
    }
  }

  /** A paired browser is one no more: its connections end. With null, any may be: each is looked at. */
  forgotten(id: string | null): void {
    for (const page of this.#open) {
      if (page.pairing === null || (id !== null && page.pairing !== id)) continue;
      page.mayStay().then(
        (may) => may || page.socket.close(1008, 'This browser is not paired any more.'),
        // Nobody can say now: it is asked again at the next beat.
        () => undefined,
      );
    }
  }

  get count(): number {
    return this.#sockets.clients.size;
  }

  close(): void {
    for (const heartbeat of this.#heartbeats) clearInterval(heartbeat);
    for (const socket of this.#sockets.clients) socket.close(1001, 'The server stops.');
    this.#sockets.close();
  }

  /** Refused before the handshake: a page that may not enter learns nothing but that. */
  async #upgrade(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<void> {
    const visitor = await this.enter(request);
    if (!visitor) {
      const detail =
        'This server answers only to its own pages, under its own address, in browsers that may come in.';
      throw new Problem(403, 'Not from here', detail);
    }
    const [path = '', query = ''] = (request.url ?? '').split('?');
    const asked = querySchema.safeParse(Object.fromEntries(new URLSearchParams(query)));
    if (path !== '/api/live' || !asked.success) {
      throw new Problem(404, 'Not here', 'There is no live connection at this address.');
    }
    const { setUp, after = null } = asked.data;
    const { rights } = visitor;
    if (rights.may === 'panel' && (setUp !== rights.setUp || after !== null)) {
      throw new Problem(403, 'Not with these rights', 'This browser was paired to show one panel.');
    }
    const mayStay = async () => (await this.enter(request)) !== null;
    this.#sockets.handleUpgrade(request, socket, head, (client) =>
      this.#take(client, setUp, after, visitor, mayStay),
    );
  }

  /** From here on the page is told of every edit, if it asked for them; what it missed until now is told first. */
  #take(
    socket: WebSocket,
    setUp: string,
    after: number | null,
    { rights, pairing }: Visitor,
    mayStay: () => Promise<boolean>,
  ): void {
    const page: LivePage = {
      socket,
      setUp,
      rights,
      pairing,
      mayStay,
      revision: after,
      unanswered: 0,
      unexpected: 0,
      isBusy: () => socket.bufferedAmount > BUSY,
      most: MOST_MESSAGE_BYTES,
      send: (message) => this.#sendText(page, JSON.stringify(message)),
    };
    this.#open.add(page);
    const pages = this.#pages.get(setUp) ?? new Set();
    if (after !== null) this.#pages.set(setUp, pages.add(page));
    socket.on('close', () => {
      this.#open.delete(page);
      pages.delete(page);
      if (pages.size === 0) this.#pages.delete(setUp);
      this.hub.gone(page);
    });
    socket.on('error', () => socket.terminate());
    socket.on('pong', () => {
      page.unanswered = 0;
    });
    socket.on('message', (data) => this.#heard(page, String(data)));
    socket.send(HELLO);
    void this.#tellMissed(page);
  }

  /** What a page says is for desks and remotes. One that says what nobody expects is told so, and let go if it goes on. */
  #heard(page: LivePage, text: string): void {
    const outcome = this.hub.heard(page, text);
    switch (outcome.kind) {
      case 'taken':
        return;
      case 'refused':
        page.unexpected += 1;
        if (page.unexpected > MOST_UNEXPECTED) page.socket.close(1008, 'Too many messages nobody expects.');
        else page.send(outcome);
        return;
      case 'too-many':
        page.socket.close(1008, 'Too many messages.');
    }
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

  #send(page: LivePage, text: string | Buffer, revision: number): void {
    page.revision = revision;
    this.#sendText(page, text);
  }

  /** A page that does not take what it is sent is let go, so that it cannot fill the memory of all. */
  #sendText(page: LivePage, text: string | Buffer): void {
    if (page.socket.readyState !== WebSocket.OPEN) return;
    if (page.socket.bufferedAmount > MOST_WAITING) page.socket.terminate();
    else page.socket.send(text, { binary: false });
  }

  /** A connection that answers no ping is gone, though TCP may not notice for hours. */
  #beat(asked: (page: LivePage) => boolean): void {
    for (const page of this.#open) {
      if (!asked(page)) continue;
      if (page.unanswered >= MOST_UNANSWERED) page.socket.terminate();
      page.unanswered += 1;
      page.socket.ping();
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
