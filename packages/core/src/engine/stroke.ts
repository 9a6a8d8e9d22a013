import { z } from 'zod';
import { idSchema, nameSchema } from '../devices/index.ts';
import { type Message, messageSchema, placeSchema } from '../setup/index.ts';

/** What every stroke has. Device and computer are decided when it is made, so that an up goes where its down went. */
const every = {
  /** Milliseconds. */
  t: z.number(),
  /** The number of the event behind it. */
  cause: z.number().int(),
  /** The device whose use is behind it. */
  device: idSchema,
  /** The program it is for, where that is not the one in front. */
  program: idSchema.optional(),
  /** The computer that device talked to when this was decided, by name, where that is not this one. */
  computer: nameSchema.optional(),
};

/** One thing sent out. */
export const strokeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.enum(['key-down', 'key-up']),
    ...every,
    /** W3C `KeyboardEvent.code`. */
    code: z.string(),
  }),
  z.strictObject({
    kind: z.enum(['button-down', 'button-up']),
    ...every,
    /** W3C `MouseEvent.button`. */
    button: z.number().int(),
  }),
  z.strictObject({
    kind: z.literal('wheel'),
    ...every,
    /** Positive away from the person, or to the right. */
    ticks: z.number().int(),
    axis: z.enum(['vertical', 'horizontal']),
  }),
  z.strictObject({ kind: z.literal('pointer-move'), ...every, to: placeSchema }),
  /** Where the pointer is, is remembered under a name, or the pointer goes back to what was remembered. */
  z.strictObject({ kind: z.enum(['pointer-remember', 'pointer-back']), ...every, mark: z.string() }),
  /** An item of the menus of the window in front, by its words from the menu down. */
  z.strictObject({ kind: z.literal('menu-item'), ...every, path: z.array(z.string()) }),
  z.strictObject({ kind: z.literal('text'), ...every, text: z.string() }),
  z.strictObject({
    kind: z.literal('message'),
    ...every,
    message: messageSchema,
    /** Between the message's low and high; a whole number for MIDI. */
    value: z.number(),
  }),
  /** The program named comes to the front; it is started where it does not run and `launch` says so. */
  z.strictObject({ kind: z.literal('focus'), ...every, program: idSchema, launch: z.boolean() }),
]);
/** Something that is sent. */
export type Stroke = z.infer<typeof strokeSchema>;

/** The value of a message for a part from 0 to 1. */
export function messageValue(message: Message, part: number): number {
  const value = message.low + (message.high - message.low) * part;
  return message.protocol === 'midi' ? Math.round(value) : value;
}
