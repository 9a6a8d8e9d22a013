import { z } from 'zod';
import { CONTROL_KINDS, DEVICE_KINDS, idSchema, nameSchema, triggerSchema } from '../devices/index.ts';
import { stepsSchema } from '../setup/index.ts';

/** The version of both; there is no older one. */
const READY_MADE_VERSION = 1;

/** One way of using a control of a device, and the ideas that could stand there, the best first. */
const startUseSchema = z.strictObject({
  /** The kind of control, and which of that kind, from 1, in the order of the device; or each of them. */
  on: z.enum(CONTROL_KINDS),
  nth: z.union([z.number().int().min(1).max(100), z.literal('each')]),
  trigger: triggerSchema,
  /**
   * Each is one intent, or one for this way and one for the other way of the same movement. As spoken: what the words of the
   * phrase speak of.
   */
  ideas: z.union([z.array(z.array(idSchema).min(1).max(2)).min(1).max(20), z.literal('as-spoken')]),
});

/** What a device of a kind could do to begin with, by ideas rather than by keys. */
export const startingProfileSchema = z.strictObject({
  format: z.literal('nimble-lever/starting-profile'),
  version: z.literal(READY_MADE_VERSION),
  name: nameSchema,
  device: z.enum(DEVICE_KINDS),
  uses: z.array(startUseSchema).min(1).max(100),
});
/** A starting profile for devices of one kind. */
export type StartingProfile = z.infer<typeof startingProfileSchema>;

/** What one control could do: pressed, and nudged four ways. */
export const controlSetSchema = z.strictObject({
  format: z.literal('nimble-lever/control-set'),
  version: z.literal(READY_MADE_VERSION),
  name: nameSchema,
  uses: z.partialRecord(
    triggerSchema,
    z.strictObject({
      /** The program's command of this intent where it has one; null for none. */
      idea: idSchema.nullable(),
      /** What is sent else. */
      shortcut: stepsSchema,
    }),
  ),
});
/** Several things at once for one control. */
export type ControlSet = z.infer<typeof controlSetSchema>;
