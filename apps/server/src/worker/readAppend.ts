import {
  appendSchema,
  type Entry,
  entrySchema,
  type SentOutcome,
  sentEntrySchema,
} from '@nimble-lever/core/setup';
import { issueWords } from '@nimble-lever/core/words/issues';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import { parseBody } from './parseBody.ts';

/** Entries that were sent, read. */
export interface ReadAppend {
  /** The revision up to which the sender knows the log. */
  readonly after: number;
  /** Those that are entries, in their order. */
  readonly entries: readonly Entry[];
  /** What is told of the others, by their place among all. */
  readonly misfits: readonly (readonly [number, SentOutcome])[];
}

/** Reads what was sent to be saved. Throws a `Problem` where nothing of it can be. */
export function readAppend(body: Uint8Array): ReadAppend {
  const asked = parseBody(body);
  refuseVersion1(asked);
  const { after, entries: sent } = readInput(appendSchema, asked);
  const misfits: [number, SentOutcome][] = [];
  const entries: Entry[] = [];
  for (const [i, given] of sent.entries()) {
    const read = readEntry(given, i);
    if ('outcome' in read) misfits.push([i, read.outcome]);
    else entries.push(read.entry);
  }
  return { after, entries, misfits };
}

/**
 * A page that was open before the server was brought up to date. It takes this answer for an outage, so it keeps its
 * edits; loaded anew, it brings them up to date and sends them.
 */
function refuseVersion1(asked: unknown): void {
  if (!z.strictObject({ base: z.number(), entries: z.array(z.unknown()) }).safeParse(asked).success) return;
  const detail = 'Nimble Lever was brought up to date. Load the page anew; its edits are kept.';
  throw new Problem(503, 'The page is of an older version', detail);
}

/** An entry, or why it is none. One without an id of its own makes the whole request unreadable. */
function readEntry(given: unknown, i: number): { entry: Entry } | { outcome: SentOutcome } {
  const parsed = entrySchema.safeParse(given);
  if (parsed.success) return { entry: parsed.data };
  const { data } = sentEntrySchema.safeParse(given);
  if (!data) readInput(sentEntrySchema, given, ['entries', i]);
  const [issue] = parsed.error.issues;
  const where = issue && issue.path.length > 0 ? `${issue.path.join('.')}: ` : '';
  const detail = `${where}${issue ? issueWords(issue) : ''} Nothing was changed by it.`;
  return { outcome: { kind: 'refused', id: data?.id ?? '', code: 'unreadable', detail } };
}
