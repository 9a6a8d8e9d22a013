import { z } from 'zod';
import { idSchema } from '../../devices/index.ts';
import { setupSchema } from '../setup.ts';
import { entrySchema, logEntrySchema, revisionSchema } from './history.ts';

/** The version of what page and server say to each other. A page of another version must be loaded anew. */
export const WIRE_VERSION = 5;

/** Sizes of what is sent: bytes of a request, entries in it. */
export const MOST_REQUEST_BYTES = 2_000_000;
/** An import is one edit of all that it brings. */
export const MOST_IMPORT_BYTES = 32_000_000;
/** Entries in one request; a page with more sends them in turn. */
export const MOST_ENTRIES_SENT = 500;

/** Entries to be saved, and the revision up to which the sender knows the log. Each entry is read by itself. */
export const appendSchema = z.strictObject({
  after: revisionSchema,
  entries: z.array(z.unknown()).min(1).max(MOST_ENTRIES_SENT),
});
/** Of an entry that is not as it should be at least its id is told back. */
export const sentEntrySchema = z.looseObject({ id: entrySchema.options[0].shape.id });

/** An entry as pages are told of it; what takes it back they find by applying it. */
export const newsEntrySchema = logEntrySchema.omit({ inverse: true });
/** An entry as other pages are told of it. */
export type NewsEntry = z.infer<typeof newsEntrySchema>;

/** What became of a sent entry. What is refused or has failed is not saved, and sending it again will not help. */
export const outcomeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('saved'), id: z.string(), revision: revisionSchema }),
  z.object({ kind: z.literal('refused'), id: z.string(), code: z.string(), detail: z.string() }),
  z.object({ kind: z.literal('failed'), id: z.string(), detail: z.string() }),
]);
/** What became of an entry that was sent. */
export type SentOutcome = z.infer<typeof outcomeSchema>;

/** What became of what was sent, and what the sender had missed. */
export const appendAnswerSchema = z.object({
  revision: revisionSchema,
  outcomes: z.array(outcomeSchema),
  /** Everything after the sender's revision; null where that is too much: the set-up must be read anew. */
  entries: z.array(newsEntrySchema).nullable(),
});

/** The newest entries that an author can undo or did undo, and whether there are older ones. */
export const historySchema = z.object({ entries: z.array(logEntrySchema), more: z.boolean() });
/** A set-up as pages read it. */
export const storedSchema = z.object({
  id: idSchema,
  revision: revisionSchema,
  /** Since when it is in the bin: ISO 8601, UTC; null where it is not. */
  binnedAt: z.iso.datetime().nullable(),
  setup: setupSchema,
  history: historySchema,
});
/** A set-up as it was right after an edit. */
export const stateSchema = z.strictObject({
  revision: revisionSchema,
  /** When that edit was made: ISO 8601, UTC; null for the set-up as it began. */
  at: z.iso.datetime().nullable(),
  setup: setupSchema,
});
/** What the server says over the live connection. */
export const liveMessageSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hello'), version: z.number() }),
  z.object({ kind: z.literal('edits'), entries: z.array(newsEntrySchema) }),
  /** More was missed than is told: read the set-up anew. */
  z.object({ kind: z.literal('behind') }),
  z.object({ kind: z.literal('refused'), detail: z.string() }),
]);

/** A problem as RFC 9457 has it. */
export const problemSchema = z.looseObject({
  title: z.string(),
  status: z.number(),
  detail: z.string(),
});
