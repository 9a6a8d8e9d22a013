import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import { type Rights, rightsSchema } from '@nimble-lever/core/desks';
import type { NextFunction, Request, Response } from 'express';
import { z } from 'zod';
import { databaseProblem, Problem } from '../problem/problem.ts';
import type { StoreClient } from '../worker/storeClient.ts';
import { cookieOf, lastingCookie } from './cookies.ts';
import { isLoopback, isLoopbackName } from './hosts.ts';

/** Set once the key was given in the address, so that the key does not stay in the history of the browser. */
const KEY_COOKIE = 'nimble_lever_access';
/** The secret of a paired browser. */
const PAIRING_COOKIE = 'nimble_lever_pairing';
/** Who a browser is, is asked again after so long, so that it is known when it was seen last: milliseconds. */
const KNOWN_MS = 30_000;
/** Most browsers that are known at a time; more are asked for again. */
const MOST_KNOWN = 1000;

/** Someone who may come in. */
export interface Visitor {
  readonly rights: Rights;
  /** The id of its pairing; null for a page of this computer, or one with the key. */
  readonly pairing: string | null;
}
const pairedSchema = z.object({ id: z.uuid(), rights: rightsSchema });
const OWNER: Visitor = { rights: { may: 'everything' }, pairing: null };

/**
 * Who may come in: pages of this computer (with a key, where one is asked for), and browsers that were paired.
 */
export class Access {
  readonly #key: Buffer | null;
  /** By the hash of its secret, who a paired browser is, and until when that is taken to hold. */
  readonly #known = new Map<string, { readonly visitor: Visitor; readonly until: number }>();

  /** @param key what pages of this computer must have been opened with; null: nothing */
  constructor(
    key: string | null,
    private readonly store: StoreClient,
    private readonly isEncrypted: boolean,
  ) {
    this.#key = key === null ? null : hash(`access ${key}`);
  }

  /** Who sends a request; null where it may not come in. Throws a `Problem` where that cannot be found out now. */
  async visitor(request: IncomingMessage): Promise<Visitor | null> {
    const { cookie } = request.headers;
    const key = cookieOf(cookie, KEY_COOKIE);
    if (key !== null && this.#isKey(Buffer.from(key, 'hex'))) return OWNER;
    if (!this.#key && isOwn(request)) return OWNER;
    const token = this.tokenOf(request);
    return token === null ? null : this.#paired(token);
  }

  /** The hash of the secret a browser was given when it was paired; null where it was not. */
  tokenOf({ headers }: IncomingMessage): string | null {
    const secret = cookieOf(headers.cookie, PAIRING_COOKIE);
    return secret === null ? null : hash(`pairing ${secret}`).toString('hex');
  }

  /** Makes a secret for a browser that is being paired: what it keeps, and the hash that is kept here. */
  newSecret(): { readonly secret: string; readonly token: string } {
    const secret = randomBytes(32).toString('hex');
    return { secret, token: hash(`pairing ${secret}`).toString('hex') };
  }

  /** Gives a browser its secret, with the answer that says it is paired. */
  give(response: Response, secret: string): void {
    response.cookie(PAIRING_COOKIE, secret, lastingCookie(this.isEncrypted));
  }

  /** Some paired browser may be one no more: each is asked for anew. */
  forgotten(): void {
    this.#known.clear();
  }

  /**
   * Lets requests in that may enter, and notes who sends them. The address with the key (`/?key=…`) gives the cookie and
   * goes on to the same address without it, so that the key does not stay in sight.
   */
  guard = async (request: Request, response: Response, next: NextFunction): Promise<void> => {
    const { key } = request.query;
    if (this.#key && typeof key === 'string' && this.#isKey(hash(`access ${key}`))) {
      response.cookie(KEY_COOKIE, this.#key.toString('hex'), lastingCookie(this.isEncrypted));
      response.redirect(303, request.path.replace(/^\/+/, '/'));
      return;
    }
    const visitor = await this.visitor(request);
    if (!visitor) throw isOwn(request) ? new Problem(403, 'A key is needed', KEY_WORDS) : new NotPaired();
    response.locals.visitor = visitor;
    next();
  };

  async #paired(token: string): Promise<Visitor | null> {
    const known = this.#known.get(token);
    if (known && known.until > performance.now()) return known.visitor;
    const { status, body } = await this.store.ask({ kind: 'visitor', token });
    if (status === 404) return null;
    if (status >= 400) throw databaseProblem();
    const { id, rights } = pairedSchema.parse(JSON.parse(new TextDecoder().decode(body)));
    const visitor = { rights, pairing: id };
    if (this.#known.size >= MOST_KNOWN) this.#known.clear();
    this.#known.set(token, { visitor, until: performance.now() + KNOWN_MS });
    return visitor;
  }

  /** In constant time: how long it takes tells nothing of where the first difference is. */
  #isKey(given: Buffer): boolean {
    return this.#key !== null && given.length === this.#key.length && timingSafeEqual(given, this.#key);
  }
}

/** Hashed first, so that secrets of any length are compared in the same time, and none is kept. */
function hash(text: string): Buffer {
  return createHash('sha256').update(text).digest();
}

/**
 * Whether a request comes from a page of this computer: over loopback, and under a name of loopback, since a proxy on this
 * computer brings others' requests over loopback too.
 */
function isOwn({ socket, headers }: IncomingMessage): boolean {
  return isLoopback(socket.remoteAddress ?? '') && isLoopbackName(headers.host ?? '');
}

/** Said to a browser elsewhere that nobody paired. */
export class NotPaired extends Problem {
  constructor() {
    super(403, 'Not paired', PAIRING_WORDS);
  }
}
const PAIRING_WORDS =
  'This browser is not paired with the computer that Nimble Lever runs on. Have a code made there, in Settings or by “Use it live…” in Panels, and open /pair here.';

/** What is said without the key. It tells where the key is, and nothing else of the server. */
const KEY_WORDS =
  'This server was started with ACCESS=key. Open the address that its start command printed; it holds the key.';
