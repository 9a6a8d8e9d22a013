import { z } from 'zod';
import { idSchema } from '../devices/index.ts';
import { frontWindowSchema } from '../resolve/index.ts';

/** Milliseconds; fractions allowed. */
const t = z.number().min(0).max(Number.MAX_SAFE_INTEGER);
const control = { t, device: idSchema, control: idSchema };

/** One thing that happened, with its time. Time that goes back is taken as the newest time known. */
export const engineEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('down'), ...control }),
  z.strictObject({ kind: z.literal('up'), ...control }),
  /** Clockwise, or away from the person for a wheel, is positive. */
  z.strictObject({
    kind: z.literal('turn'),
    ...control,
    unit: z.enum(['degrees', 'detents']),
    amount: z.number().min(-36_000).max(36_000),
  }),
  z.strictObject({ kind: z.literal('front'), t, window: frontWindowSchema.nullable() }),
  /** Keeps a profile whatever is in front; null goes back to automatic. */
  z.strictObject({ kind: z.literal('pin'), t, profile: idSchema.nullable() }),
  /** The set-up was edited: the profile is decided anew. */
  z.strictObject({ kind: z.literal('edited'), t }),
  /** Nothing happened but that time went on: what is due falls due. */
  z.strictObject({ kind: z.literal('time'), t }),
  z.strictObject({ kind: z.literal('attach'), t, device: idSchema }),
  z.strictObject({ kind: z.literal('detach'), t, device: idSchema }),
  /** The screen was locked or the engine stopped: everything is let go. */
  z.strictObject({ kind: z.literal('reset'), t }),
]);
export type EngineEvent = z.infer<typeof engineEventSchema>;

export type EventOf<Kind extends EngineEvent['kind']> = Extract<EngineEvent, { kind: Kind }>;
