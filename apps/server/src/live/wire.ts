import { deskSchema, heardSchema, remoteSchema } from '@nimble-lever/core/desks';
import { idSchema } from '@nimble-lever/core/devices';
import { z } from 'zod';

/** Where servers of one database tell each other of desks and remotes. */
export const DESKS_CHANNEL = 'nimble_lever_desks';
/** PostgreSQL takes notifications of fewer than 8,000 bytes. */
export const MOST_NOTIFIED = 7999;
/** What a message may have that goes from one server to another, with room for what stands around it: bytes. */
export const MOST_FAR_BYTES = 7600;
/** Servers of another version speak otherwise, and are not listened to. */
const VERSION = 3;

const time = z.number().min(0);
const desk = z.uuid();
const [, left, input] = heardSchema.options;

/** What one server tells another, or all others. */
export const wireSchema = z.object({
  version: z.literal(VERSION),
  from: z.uuid(),
  /** Null: everybody else. */
  to: z.uuid().nullable(),
  /** Rises: PostgreSQL takes two that are the same for one. */
  seq: z.int().min(0),
  say: z.discriminatedUnion('kind', [
    /** It has begun, or comes back, and knows of nobody. */
    z.object({ kind: z.literal('who') }),
    /** A desk of its own: that it came, or was used. */
    z.object({ kind: z.literal('here'), setUp: idSchema, desk: deskSchema, used: time, since: time }),
    z.object({ kind: z.literal('away'), desk }),
    /** It is still there; one that has nothing to do with others says nothing. */
    z.object({ kind: z.literal('alive') }),
    z.object({ kind: z.literal('join'), setUp: idSchema, desk, remote: remoteSchema }),
    z.object({ kind: z.literal('leave'), remote: left.shape.remote }),
    z.object({ kind: z.literal('input'), desk, input }),
    /** What a desk says to a remote. */
    z.object({ kind: z.literal('to-remote'), remote: left.shape.remote, message: heardSchema }),
    /** The remote is at that desk no more, or never was. */
    z.object({ kind: z.literal('not-here'), remote: left.shape.remote, desk }),
  ]),
});
/** What one server tells another, with where it comes from and goes to. */
export type Wired = z.infer<typeof wireSchema>;
/** What one server tells another. */
export type WireSay = Wired['say'];
/** A message as it goes over the wire. */
export function wireText(message: Omit<Wired, 'version'>): string {
  return JSON.stringify({ version: VERSION, ...message });
}

/** A message as it came over the wire; null where it is none of this version. */
export function readWire(text: string): Wired | null {
  try {
    return wireSchema.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}
