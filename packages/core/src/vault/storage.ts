import { z } from 'zod';
import { idSchema } from '../devices/index.ts';

/** How long what is kept by itself is kept: days; null for ever. */
export const keepSchema = z.strictObject({ days: z.int().min(1).max(10_000).nullable() });

/** What is kept on the disk, for how long, and when it was backed up last. */
export const storageSchema = z.strictObject({
  /** Bytes on the disk, with what finds it there. */
  bytes: z.strictObject({
    edits: z.int().min(0),
    snapshots: z.int().min(0),
    pictures: z.int().min(0),
    all: z.int().min(0),
  }),
  /** ISO 8601, UTC; null for never. */
  backedUpAt: z.iso.datetime().nullable(),
  /** For each set-up, how long snapshots that were made by themselves are kept: days; null for ever. */
  keeps: z.array(z.strictObject({ id: idSchema, days: z.int().min(1).nullable() })),
});
/** What is kept on the disk, for how long, and when it was backed up last. */
export type Storage = z.infer<typeof storageSchema>;
