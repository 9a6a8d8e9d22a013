import { createHash, timingSafeEqual } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problem/problem.ts';

/** Set once the key was given in the address, so that the key does not stay in the history of the browser. */
const COOKIE = 'nimble_lever_access';
/** Browsers keep none for longer than 400 days, whatever is asked (RFC 6265bis, 5.5). */
const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Who may come in: everybody on this computer, or only who has the key. */
export class Access {
  readonly #token: Buffer | null;

  /** Without a key everybody may. */
  constructor(key: string | null) {
    this.#token = key === null ? null : createHash('sha256').update(`access ${key}`).digest();
  }

  /** Whether a request carries the cookie that the key gave it. */
  mayEnter({ cookie = '' }: { readonly cookie?: string | undefined }): boolean {
    if (!this.#token) return true;
    const given = cookie
      .split(';')
      .map((part) => part.trim())
      .find((part) => part.startsWith(`${COOKIE}=`));
    return given !== undefined && this.#isToken(given.slice(COOKIE.length + 1));
  }

  /**
   * Lets requests in that may enter. The address with the key (`/?key=…`) gives the cookie and goes on to the same
   * address without it, so that the key does not stay in sight.
   */
  guard = (request: Request, response: Response, next: NextFunction): void => {
    const { key } = request.query;
    if (this.#token && typeof key === 'string' && this.#isKey(key)) {
      const token = this.#token.toString('hex');
      response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', maxAge: YEAR_MS, path: '/' });
      response.redirect(303, request.path.replace(/^\/+/, '/'));
      return;
    }
    if (this.mayEnter(request.headers)) next();
    else next(new Problem(403, 'A key is needed', KEY_WORDS));
  };

  /** Hashed first, so that keys of any length are compared in the same time. */
  #isKey(key: string): boolean {
    return this.#isToken(createHash('sha256').update(`access ${key}`).digest('hex'));
  }

  /** In constant time: how long it takes tells nothing of where the first difference is. */
  #isToken(hex: string): boolean {
    const given = Buffer.from(hex, 'hex');
    return this.#token !== null && given.length === this.#token.length && timingSafeEqual(given, this.#token);
  }
}

/** What is said without the key. It tells where the key is, and nothing else of the server. */
const KEY_WORDS =
  'This server was started with ACCESS=key. Open the address that its start command printed; it holds the key.';
