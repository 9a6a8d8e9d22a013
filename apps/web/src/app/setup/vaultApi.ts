import type { FilePart } from '@nimble-lever/core/formats';
import {
  type Author,
  historySchema,
  problemSchema,
  type SetUpHead,
  type Setup,
  setUpListSchema,
  stateSchema,
} from '@nimble-lever/core/setup';
import {
  type Beginning,
  type Moment,
  momentsSchema,
  type SnapshotHead,
  type Storage,
  snapshotHeadSchema,
  storageSchema,
  unpackMoments,
  wentBackSchema,
} from '@nimble-lever/core/vault';
import { z } from 'zod';
import { newUuid } from '../newUuid.ts';

/** Longer than any limit of the server. */
const LIMIT_MS = 30_000;
const AWAY = 'The server does not answer. Nothing was changed.';

/** Asks the server; what it answers is checked. Throws an error whose message can be shown. */
async function ask<Schema extends z.ZodType>(
  schema: Schema,
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  url: string,
  body?: unknown,
): Promise<z.infer<Schema>> {
  const response = await fetch(url, {
    method,
    signal: AbortSignal.timeout(LIMIT_MS),
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  }).catch(() => {
    throw new Error(AWAY);
  });
  const json: unknown = await response.json().catch(() => null);
  if (!response.ok) throw new Error(problemSchema.safeParse(json).data?.detail ?? AWAY);
  const parsed = schema.safeParse(json);
  if (parsed.success) return parsed.data;
  throw new Error('The server answers otherwise than this page expects. Load the page anew.');
}

const nothingSchema = z.object({});
const madeSchema = z.object({ id: z.string() });
const of = (setUp: string, rest = '') => `/api/set-ups/${encodeURIComponent(setUp)}${rest}`;

/** All set-ups, those in the bin among them. Throws an error whose message can be shown, as all here do. */
export function readSetUps(): Promise<readonly SetUpHead[]> {
  return ask(setUpListSchema, 'GET', '/api/set-ups');
}

/** Makes a set-up; gives its id. */
export async function makeSetUp(name: string, begin: Beginning): Promise<string> {
  return (await ask(madeSchema, 'POST', '/api/set-ups', { name, begin })).id;
}

/** What is kept on the disk, for how long, and when it was backed up last. */
export function readStorage(): Promise<Storage> {
  return ask(storageSchema, 'GET', '/api/storage');
}

/** How long snapshots that are made by themselves are kept: days; null for ever. */
export async function keepFor(setUp: string, days: number | null): Promise<void> {
  await ask(nothingSchema, 'PUT', of(setUp, '/keeping'), { days });
}

/** Puts a set-up into the bin. */
export async function binSetUp(setUp: string): Promise<void> {
  await ask(nothingSchema, 'DELETE', of(setUp));
}

/** Takes a set-up out of the bin. */
export async function unbinSetUp(setUp: string): Promise<void> {
  await ask(nothingSchema, 'POST', of(setUp, '/out-of-bin'));
}

/** When each edit after a revision was made, and by whom. */
export async function readMoments(setUp: string, after: number): Promise<readonly Moment[]> {
  return unpackMoments(await ask(momentsSchema, 'GET', of(setUp, `/moments?after=${after}`)), after);
}

/** A set-up as it was right after an edit. */
export async function readState(setUp: string, revision: number): Promise<Setup> {
  return (await ask(stateSchema, 'GET', of(setUp, `/states/${revision}`))).setup;
}

/** Makes a set-up what it was right after an edit, as one edit; false where it is so already. */
export async function goBackTo(setUp: string, revision: number, author: Author): Promise<boolean> {
  const body = { revision, id: newUuid(), author };
  return (await ask(wentBackSchema, 'POST', of(setUp, '/back'), body)).kind === 'done';
}

/** The snapshots of a set-up, newest first. */
export function readSnapshots(setUp: string): Promise<readonly SnapshotHead[]> {
  return ask(z.array(snapshotHeadSchema), 'GET', of(setUp, '/snapshots'));
}

/** What is said of a snapshot. */
interface SnapshotWords {
  readonly name: string;
  readonly note: string | null;
}

/** Keeps a set-up as it is saved now. */
export async function makeSnapshot(setUp: string, words: SnapshotWords, author: Author): Promise<void> {
  await ask(madeSchema, 'POST', of(setUp, '/snapshots'), { ...words, author });
}

/** Gives a snapshot another name and note. */
export async function renameSnapshot(setUp: string, id: string, words: SnapshotWords): Promise<void> {
  await ask(nothingSchema, 'PUT', of(setUp, `/snapshots/${id}`), words);
}

/** Takes a snapshot away. */
export async function removeSnapshot(setUp: string, id: string): Promise<void> {
  await ask(nothingSchema, 'DELETE', of(setUp, `/snapshots/${id}`));
}

/** Everyone's edits before a revision, the newest of them, at most so many. */
export function readBefore(setUp: string, before: number, count: number) {
  return ask(historySchema, 'GET', of(setUp, `/edits?before=${before}&count=${count}`));
}

/** A set-up or a part of it as a file with its pictures, as it is saved or was right after an edit. */
export async function readSetUpFile(
  setUp: string,
  { part, at }: { readonly part: FilePart | null; readonly at: number | null },
  signal: AbortSignal,
): Promise<string> {
  const query = new URLSearchParams({
    ...(part && { part: part.kind, of: part.id }),
    ...(at !== null && { at: String(at) }),
  });
  return readText(of(setUp, `/file?${query}`), signal);
}

/** Everything that is bound, as a table. */
export async function readBindings(
  setUp: string,
  { as, at }: { readonly as: 'csv' | 'markdown'; readonly at: number | null },
  signal: AbortSignal,
): Promise<string> {
  return readText(of(setUp, `/bindings?as=${as}${at === null ? '' : `&at=${at}`}`), signal);
}

async function readText(url: string, signal: AbortSignal): Promise<string> {
  const response = await fetch(url, { signal }).catch(() => {
    throw new Error(AWAY);
  });
  if (response.ok) return response.text();
  const body: unknown = await response.json().catch(() => null);
  throw new Error(problemSchema.safeParse(body).data?.detail ?? AWAY);
}
