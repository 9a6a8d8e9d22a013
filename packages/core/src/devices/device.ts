import { z } from 'zod';
import { shapeSchema } from './shape.ts';
import { type Trigger, triggerSchema } from './trigger.ts';

/**
 * A name that stands in keys and files: lower-case letters, digits and hyphens. Ids are used as keys of
 * plain objects, so the one such word that every object has already is left out.
 */
export const idSchema = z.string().regex(/^(?!constructor$)[a-z0-9][a-z0-9-]{0,63}$/);

/** Text on one line: no control characters, no halves of characters. */
export const LINE_PATTERN = /^[^\p{Cc}\p{Cs}]*$/u;

/** What people call a thing: 1 to 60 characters, no line breaks, no space at the ends. */
export const nameSchema = z.string().trim().min(1).max(60).regex(LINE_PATTERN);

/** What a control does by itself, without Nimble Lever. */
export const nativeOutputSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('wheel'), ticks: z.number().int().min(-20).max(20) }),
  z.strictObject({ kind: z.literal('button'), button: z.number().int().min(0).max(4) }),
]);
export type NativeOutput = z.infer<typeof nativeOutputSchema>;

/** Turning faster sends more steps: once below `from`, `max` times at `to` and above, in degrees per second. */
export const speedUpSchema = z
  .strictObject({
    max: z.number().int().min(2).max(50),
    from: z.number().min(0).max(10_000),
    to: z.number().min(1).max(10_000),
  })
  .refine(({ from, to }) => from < to)
  .nullable();
export type SpeedUp = z.infer<typeof speedUpSchema>;

/**
 * How a control turns. A continuous rotor reports degrees and sends one step every `stepDegrees`; a
 * detented one reports detents, `detentDegrees` apart, and sends one step for each.
 */
const degrees = z.number().min(0.5).max(360);
export const rotorSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('continuous'),
    stepDegrees: degrees,
    speedUp: speedUpSchema.default(null),
  }),
  z.strictObject({
    kind: z.literal('detented'),
    detentDegrees: degrees,
    speedUp: speedUpSchema.default(null),
  }),
]);
export type Rotor = z.infer<typeof rotorSchema>;

export const CONTROL_KINDS = ['button', 'key', 'wheel', 'dial', 'knob'] as const;

/** One button, wheel, dial… of a device, with where it sits. */
export const controlSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(CONTROL_KINDS),
  shape: shapeSchema,
  /** The part of a turning control that is pressed; null where the whole shape is. */
  cap: shapeSchema.nullable(),
  canPress: z.boolean(),
  rotor: rotorSchema.nullable(),
  native: z.partialRecord(triggerSchema, nativeOutputSchema),
});
export type Control = z.infer<typeof controlSchema>;

export const DEVICE_KINDS = ['mouse', 'dial', 'key-pad'] as const;

/** A device of the rig: what it is called, what it looks like (millimetres) and its controls. */
export const deviceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(DEVICE_KINDS),
  width: z.number().positive().max(2000),
  height: z.number().positive().max(2000),
  body: z.array(shapeSchema).max(50),
  controls: z.array(controlSchema).max(400),
});
export type Device = z.infer<typeof deviceSchema>;

/** The ways of using a control that everyone expects, in the order in which the Board lists them. */
export function mainTriggersOf(control: Control): readonly Trigger[] {
  const turns: readonly Trigger[] = control.rotor ? ['clockwise', 'anticlockwise'] : [];
  const press: readonly Trigger[] = control.canPress ? ['press'] : [];
  return control.kind === 'wheel' ? [...press, ...turns] : [...turns, ...press];
}

/**
 * All the triggers a control offers: the main ones, each press with its hold and double press, and each turn
 * with the same turn while the control is pressed.
 */
export function triggersOf(control: Control): readonly Trigger[] {
  return mainTriggersOf(control).flatMap((trigger): readonly Trigger[] => {
    if (trigger === 'press') return ['press', 'hold', 'double-press'];
    if (!control.canPress) return [trigger];
    return trigger === 'clockwise'
      ? ['clockwise', 'pressed-clockwise']
      : ['anticlockwise', 'pressed-anticlockwise'];
  });
}
