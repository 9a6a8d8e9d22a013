import { createHash } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { problemSchema, type SetUpHead, setUpListSchema } from '@nimble-lever/core/setup';
import { LOCAL } from '../../../../scripts/lib/places.mjs';
import { NotThere, Refused } from '../files.ts';

/** What a schema of ours gives of an answer. */
interface Reads<Value> {
  readonly safeParse: (value: unknown) => { readonly success: boolean; readonly data?: Value };
}

/** Longer than any limit of the server: milliseconds. */
const LIMIT_MS = 30_000;
/** Where the start command keeps the key of this clone, where it was started with one. */
const KEY_FILE = path.join(LOCAL, 'access-key');
/** As `apps/server` reads it. */
const KEY_COOKIE = 'nimble_lever_access';

/** Where the running server is asked: `LEVER_SERVER`, or where `npm start` puts it (`PORT`). */
export function serverAddress(environment: NodeJS.ProcessEnv = process.env): string {
  const { LEVER_SERVER, PORT = '4680' } = environment;
  return (LEVER_SERVER ?? `http://127.0.0.1:${PORT}`).replace(/\/+$/, '');
}

/** The running server. Throws `NotThere` where nothing answers, `Refused` with its words where it refuses. */
export class Server {
  constructor(readonly address = serverAddress()) {}

  /** Asks, and checks what is answered. */
  async json<Value>(schema: Reads<Value>, method: string, path: string, body?: unknown): Promise<Value> {
    const text = await this.text(method, path, body);
    let value: unknown = null;
    try {
      value = JSON.parse(text);
    } catch {
      // Told below: it is no answer of ours.
    }
    const { data } = schema.safeParse(value);
    if (data === undefined) throw new Refused(`${this.address} does not answer as Nimble Lever does.`);
    return data;
  }

  async text(method: string, path: string, body?: unknown): Promise<string> {
    const { status, content } = await this.#send(method, path, body);
    if (status < 400) return content;
    let json: unknown = null;
    try {
      json = JSON.parse(content);
    } catch {
      // Told below.
    }
    throw new Refused(
      problemSchema.safeParse(json).data?.detail ?? `${this.address} answers with ${status} and no reason.`,
    );
  }

  /** Sends bytes as they are. */
  async bytes(method: string, path: string, body: Uint8Array<ArrayBuffer>): Promise<void> {
    await this.text(method, path, body);
  }

  async #send(
    method: string,
    path: string,
    body: unknown,
  ): Promise<{ readonly status: number; readonly content: string }> {
    const headers = { 'content-type': 'application/json', ...ownCookie() };
    try {
      const response = await fetch(this.address + path, {
        method,
        headers,
        signal: AbortSignal.timeout(LIMIT_MS),
        ...(body !== undefined && {
          body: body instanceof Uint8Array ? (body as Uint8Array<ArrayBuffer>) : JSON.stringify(body),
        }),
      });
      return { status: response.status, content: await response.text() };
    } catch {
      throw new NotThere(
        `Nimble Lever does not answer at ${this.address}. Start it by \`npm start\`, or name another address by LEVER_SERVER.`,
      );
    }
  }

  /** A set-up by its id or its name. */
  async setUp(named: string): Promise<SetUpHead> {
    const all = await this.json(setUpListSchema, 'GET', '/api/set-ups');
    const byId = all.find(({ id }) => id === named);
    if (byId) return byId;
    const byName = all.filter(({ name }) => name.toLowerCase() === named.toLowerCase());
    const [only] = byName;
    if (only && byName.length === 1) return only;
    const there = all.map(({ id, name }) => `  ${id}  ${name}`).join('\n');
    throw new Refused(
      byName.length > 1
        ? `Several set-ups are called “${named}”; name one by its id:\n${there}`
        : `There is no set-up “${named}”. There are:\n${there}`,
    );
  }
}

/** With ACCESS=key: what says that it is the owner who asks. A key that others may read is none. */
export function ownCookie(): { readonly cookie?: string } {
  try {
    if ((statSync(KEY_FILE).mode & 0o077) !== 0) {
      throw new Refused(`${KEY_FILE} may be read by others. Take that away: chmod 600 ${KEY_FILE}`);
    }
    const key = readFileSync(KEY_FILE, 'utf8').trim();
    return { cookie: `${KEY_COOKIE}=${createHash('sha256').update(`access ${key}`).digest('hex')}` };
  } catch (error) {
    if (error instanceof Refused) throw error;
    return {};
  }
}
