import { z } from 'zod';
import { nameSchema } from '../devices/index.ts';
import { authorSchema, noteSchema, revisionSchema } from '../setup/index.ts';

/** Why a state was kept: because a person wanted it, or by itself before an import, before a large edit, before a day's first. */
export const SNAPSHOT_KINDS = ['own', 'import', 'bulk', 'daily'] as const;
/** Why a state was kept. */
export type SnapshotKind = (typeof SNAPSHOT_KINDS)[number];

/** An edit of so many parts at once is large: the state before it is kept by itself. */
export const BULK_PARTS = 50;

/** What is said of a snapshot that a person makes or renames. */
export const snapshotWordsSchema = z.strictObject({ name: nameSchema, note: noteSchema.nullable() });
/** What is asked to go back: to right after which edit, under which id the edit that does it is kept, and who asks. */
export const goBackSchema = z.strictObject({
  revision: revisionSchema,
  id: z.uuid().toLowerCase(),
  author: authorSchema,
});
/** Whether it was done, or is so already. */
export const wentBackSchema = z.strictObject({ kind: z.enum(['done', 'there']) });

/** As many as a person makes of one set-up: one a day for more than a year. */
export const MOST_SNAPSHOTS = 500;

/** A snapshot to be made, with who makes it. */
export const newSnapshotSchema = snapshotWordsSchema.extend({ author: authorSchema });

/** A snapshot as lists have it. */
export const snapshotHeadSchema = z.strictObject({
  id: z.uuid(),
  /** The set-up as it was right after the edit of this number. */
  revision: revisionSchema,
  kind: z.enum(SNAPSHOT_KINDS),
  /** Null where it was made by itself. */
  name: nameSchema.nullable(),
  note: noteSchema.nullable(),
  author: authorSchema.nullable(),
  /** ISO 8601, UTC. */
  at: z.iso.datetime(),
});
/** A snapshot as lists have it. */
export type SnapshotHead = z.infer<typeof snapshotHeadSchema>;
