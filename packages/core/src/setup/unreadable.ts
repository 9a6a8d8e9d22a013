import { z } from 'zod';

/** The kinds of parts a set-up is stored in. */
export const PART_KINDS = [
  'device',
  'program',
  'command',
  'layer',
  'page',
  'profile',
  'macro',
  'radial-menu',
  'binding',
] as const;
/** A kind of part that can be unreadable by itself. */
export type PartKind = (typeof PART_KINDS)[number];

/**
 * A stored part that is not as it should be. It is kept as it was found, takes no part in anything, and can be
 * removed.
 */
export const unreadablePartSchema = z.strictObject({
  id: z.string().max(64),
  part: z.enum(PART_KINDS),
  /** What it was called, where that can be told. */
  name: z.string().max(300),
  /** What is wrong with it, in a sentence. */
  wrong: z.string().max(300),
  stored: z.record(z.string(), z.unknown()),
});
/** A part that could not be read, with where it is kept and why. */
export type UnreadablePart = z.infer<typeof unreadablePartSchema>;
