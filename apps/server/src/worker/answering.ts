import { idSchema } from '@nimble-lever/core/devices';
import { revisionSchema, type SentOutcome } from '@nimble-lever/core/setup';
import { refusalWords } from '@nimble-lever/core/words';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import { PAGE_OF_ENTRIES } from '../store/editLog.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { setupText } from '../store/setupText.ts';
import type { Appended, EntryOutcome } from '../store/setupWriter.ts';
import type { BodyReader } from './bodyReader.ts';
import type { Ask, Query } from './messages.ts';
import { unknownSetUp } from './unknownSetUp.ts';

/** Ids of authors are compared as text, so upper case is folded. */
const author = z.uuid().toLowerCase();
/** Who reads: their own history is told with the set-up. */
const readQuery = z.object({ author: author.optional() });
/** Either what came after a revision, or what a person, or everyone, did before one. */
const entriesQuery = z.union([
  z.strictObject({ after: z.coerce.number().pipe(revisionSchema) }),
  z.strictObject({
    before: z.coerce.number().pipe(revisionSchema),
    author: author.optional(),
    count: z.coerce.number().pipe(z.int().min(1).max(PAGE_OF_ENTRIES)).default(PAGE_OF_ENTRIES),
  }),
]);

/** What answers: the set-ups, and who reads what is sent. */
interface TextParts {
  readonly store: SetupStore;
  readonly bodies: BodyReader;
}

/** What is asked of the set-ups themselves. */
type TextAsk = Extract<
  Ask,
  { readonly kind: 'health' | 'list' | 'read-first' | 'read' | 'entries' | 'append' | 'import' | 'missed' }
>;

/** Answers what is asked, as JSON text. Throws a `Problem` for what is refused. */
export async function answerText({ store, bodies }: TextParts, ask: TextAsk): Promise<string> {
  switch (ask.kind) {
    case 'health':
    case 'list':
      return JSON.stringify(await store.list());
    case 'read-first': {
      const all = await store.list();
      const first = all.find(({ binnedAt }) => binnedAt === null) ?? all[0];
      if (!first) throw new Problem(404, 'No set-up', 'The server has no set-up.');
      return readText(store, first.id, ask.query);
    }
    case 'read':
      return readText(store, readInput(idSchema, ask.id), ask.query);
    case 'entries':
      return entriesText(store, readInput(idSchema, ask.id), ask.query);
    case 'append':
      return appendText(store, bodies, readInput(idSchema, ask.id), ask.body);
    case 'import':
      return appendText(store, bodies, readInput(idSchema, ask.id), ask.body, 'import');
    case 'missed':
      return missedText(store, ask.id, ask.after);
  }
}

/** A set-up, with the newest edits of an author where one is named. */
async function readText(store: SetupStore, id: string, query: Query): Promise<string> {
  const { author: by } = readInput(readQuery, query);
  const stored = await store.read(id);
  if (!stored) throw unknownSetUp(id);
  const { revision, setup } = stored;
  const none = { entries: [], more: false };
  const history = by ? await store.entriesBefore(id, revision + 1, by) : none;
  const binnedAt = await store.binnedAt(id);
  const head = JSON.stringify({ id, revision, binnedAt, history: history ?? none });
  return `${head.slice(0, -1)},"setup":${setupText(setup)}}`;
}

/** The log page by page, forwards to catch up or backwards for an author’s undo. */
async function entriesText(store: SetupStore, id: string, query: Query): Promise<string> {
  const asked = readInput(entriesQuery, query);
  const page =
    'after' in asked
      ? await store.entriesAfter(id, asked.after)
      : await store.entriesBefore(id, asked.before, asked.author ?? null, asked.count);
  if (!page) throw unknownSetUp(id);
  return JSON.stringify(page);
}

/** For a live connection that begins. */
async function missedText(store: SetupStore, id: string, after: number): Promise<string> {
  const missed = await store.missed(id, after);
  if (!missed) throw unknownSetUp(id);
  return `{"to":${missed.to},"text":${JSON.stringify(missed.texts && newsText(missed.texts))}}`;
}

/** News of entries, from the JSON of each. */
export function newsText(texts: readonly string[]): string {
  return `{"kind":"edits","entries":[${texts.join(',')}]}`;
}

/** Saves entries, each by itself; answers what became of each, and what the sender had missed. */
async function appendText(
  store: SetupStore,
  bodies: BodyReader,
  id: string,
  body: Uint8Array,
  kind: 'edit' | 'import' = 'edit',
): Promise<string> {
  const { after, entries, misfits } = await bodies.read(body);
  const saved = entries.length > 0 ? await store.append(id, entries, kind) : await nothing(store, id);
  if (!saved) throw unknownSetUp(id);
  const outcomes = saved.outcomes.map(toSent);
  for (const [i, outcome] of misfits) outcomes.splice(i, 0, outcome);
  const missed = await store.missedAt(id, after, saved.revision);
  const texts = missed?.texts ? `[${missed.texts.join(',')}]` : 'null';
  return `{"revision":${missed?.to ?? after},"outcomes":${JSON.stringify(outcomes)},"entries":${texts}}`;
}

/** Where no entry could be read, only what was missed is told. */
async function nothing(store: SetupStore, id: string): Promise<Appended | null> {
  const stored = await store.read(id);
  return stored && { outcomes: [], revision: stored.revision };
}

/** What became of an entry, in words where it was not saved. */
function toSent(outcome: EntryOutcome): SentOutcome {
  switch (outcome.kind) {
    case 'saved':
      return outcome;
    case 'refused': {
      const { id, refusal } = outcome;
      return { kind: 'refused', id, code: refusal.code, detail: refusalWords(refusal) };
    }
    case 'failed':
      return {
        ...outcome,
        detail: 'The server met an error it did not expect with this edit. It is not saved; the others are.',
      };
  }
}
