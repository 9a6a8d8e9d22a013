import { z } from 'zod';
import { idSchema, nameSchema } from '../devices/index.ts';
import { frontWindowSchema } from '../resolve/index.ts';
import { MOST_ANSWER, MOST_ASKED } from './ask.ts';

/** Milliseconds; fractions allowed. */
const t = z.number().min(0).max(Number.MAX_SAFE_INTEGER);
/** What every event of a control has. */
const control = { t, device: idSchema, control: idSchema };
/** Of the pointer, since the last movement. */
const pixels = z.number().min(-100_000).max(100_000);

/** One thing that happened, with its time. Time that goes back is taken as the newest time known. */
export const engineEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('down'), ...control }),
  z.strictObject({ kind: z.literal('up'), ...control }),
  /** Clockwise, or away from the person for a wheel, is positive. */
  z.strictObject({
    kind: z.literal('turn'),
    ...control,
    unit: z.enum(['degrees', 'detents']),
    amount: z.number().min(-3600).max(3600),
  }),
  /** A spring ring's position, clockwise positive, or a slider's value from 0 to 1: of its one way, or of its way across. */
  z.strictObject({
    kind: z.literal('position'),
    ...control,
    value: z.number().min(-100).max(100),
    axis: z.literal('across').optional(),
  }),
  /** The pointer moved: pixels, y downwards. */
  z.strictObject({ kind: z.literal('move'), t, dx: pixels, dy: pixels }),
  /** Something was said, as it was recognised. */
  z.strictObject({ kind: z.literal('phrase'), t, text: z.string().max(1000) }),
  z.strictObject({
    kind: z.literal('front'),
    t,
    window: frontWindowSchema.nullable(),
    /** Another computer's name, as the devices' settings have it; without it, this one's front is meant. */
    computer: nameSchema.optional(),
  }),
  /** Keeps a profile whatever is in front; null goes back to automatic. */
  z.strictObject({ kind: z.literal('pin'), t, profile: idSchema.nullable() }),
  /** What a macro asked for was answered, a text for each of its questions; null where nobody wants to. */
  z.strictObject({
    kind: z.literal('answer'),
    t,
    macro: idSchema,
    texts: z.array(z.string().max(MOST_ANSWER)).max(MOST_ASKED).nullable(),
  }),
  /** The set-up was edited: the profile is decided anew. */
  z.strictObject({ kind: z.literal('edited'), t }),
  /** Nothing happened but that time went on: what is due falls due. */
  z.strictObject({ kind: z.literal('time'), t }),
  z.strictObject({ kind: z.literal('attach'), t, device: idSchema }),
  z.strictObject({ kind: z.literal('detach'), t, device: idSchema }),
  /** The screen was locked, the engine stopped or the computer slept: everything is let go. */
  z.strictObject({
    kind: z.literal('reset'),
    t,
    /** How long the computer slept: milliseconds. */
    slept: z.number().min(0).optional(),
  }),
]);
/** Something that happens to the engine, with its moment in milliseconds. */
export type EngineEvent = z.infer<typeof engineEventSchema>;

/** An event of one kind. */
export type EventOf<Kind extends EngineEvent['kind']> = Extract<EngineEvent, { kind: Kind }>;
