import {
  appendAnswerSchema,
  type Entry,
  historySchema,
  problemSchema,
  stateSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
import type { z } from 'zod';
import { addressOf, takeEarly } from './early.ts';
import { type AsItWas, bare } from './setupState.ts';
import type { ShownSetUp } from './shownSetUp.ts';

/** A set-up as the server gives it. */
export type Stored = z.infer<typeof storedSchema>;

/** What the server made of a request with entries. */
export type SendOutcome =
  | ({ readonly kind: 'answered' } & z.infer<typeof appendAnswerSchema>)
  /** There is more in it than a request may have. */
  | { readonly kind: 'too-large' }
  /** The server is there, and cannot read this request or fails at it. */
  | { readonly kind: 'unreadable' | 'broken'; readonly detail: string }
  /** The server or its database cannot be reached now; the same request may do later. */
  | { readonly kind: 'away'; readonly detail: string };

/** Said when a request gets no answer at all, for whatever reason: the browser does not tell which. */
const AWAY = 'The server does not answer.';
/** Longer than any limit of the server. */
const LIMIT_MS = 30_000;

/** Reads a set-up with an author's newest edits, or as it was. Throws an error whose message can be shown. */
export async function readSetUp(shown: ShownSetUp, author: string): Promise<Stored & AsItWas> {
  const json = await getJson(addressOf(shown, author), takeEarly());
  if (shown.id === null || shown.revision === null) return { ...readAs(storedSchema, json), asItWas: null };
  const { at, ...state } = readAs(stateSchema, json);
  return { id: shown.id, ...state, binnedAt: null, history: { entries: [], more: false }, asItWas: { at } };
}

/** An author's edits before a revision. Throws as `readSetUp` does. */
export async function readOlder(setUp: string, before: number, author: string) {
  const query = `before=${before}&author=${author}`;
  return readAs(historySchema, await getJson(`/api/set-ups/${setUp}/edits?${query}`));
}

/**
 * Reads an answer. One that does not fit comes from another version of the server, whose words this page does
 * not know.
 */
function readAs<Schema extends z.ZodType>(schema: Schema, json: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(json);
  if (parsed.success) return parsed.data;
  throw new Error('The server answers otherwise than this page expects. Load the page anew.');
}

/** An answer as JSON; a problem (RFC 9457) is thrown in its own words. */
async function getJson(url: string, early?: Promise<Response>): Promise<unknown> {
  const ask = () => fetch(url, { signal: AbortSignal.timeout(LIMIT_MS) });
  const response = await (early?.catch(ask) ?? ask()).catch(() => {
    throw new Error(AWAY);
  });
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body;
  throw new Error(problemSchema.safeParse(body).data?.detail ?? AWAY);
}

/** Sends entries, and the revision up to which the log is known here. */
export async function sendEntries(
  setUp: string,
  after: number,
  entries: readonly Entry[],
): Promise<SendOutcome> {
  try {
    const response = await fetch(`/api/set-ups/${setUp}/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ after, entries: entries.map(bare) }),
      signal: AbortSignal.timeout(LIMIT_MS),
    });
    const body: unknown = await response.json().catch(() => null);
    return outcomeOf(response.status, body);
  } catch {
    return { kind: 'away', detail: AWAY };
  }
}

/**
 * Only our server's own words refuse something. An answer that is no problem of ours comes from something between,
 * and says no more than that the server was not reached.
 */
function outcomeOf(status: number, body: unknown): SendOutcome {
  if (status === 200) {
    const answer = appendAnswerSchema.safeParse(body);
    return answer.success ? { kind: 'answered', ...answer.data } : { kind: 'away', detail: AWAY };
  }
  if (status === 413) return { kind: 'too-large' };
  const problem = problemSchema.safeParse(body).data;
  if (!problem) return { kind: 'away', detail: AWAY };
  if (status === 400) return { kind: 'unreadable', detail: problem.detail };
  return { kind: status === 500 ? 'broken' : 'away', detail: problem.detail };
}
