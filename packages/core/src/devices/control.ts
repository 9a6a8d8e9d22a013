import { z } from 'zod';
import { heardIdSchema } from './heardId.ts';
import { idSchema, lineSchema, nameSchema } from './names.ts';
import { cellSchema } from './panel/cell.ts';
import { shapeSchema } from './shape.ts';
import { type Trigger, triggerSchema } from './trigger.ts';
import { because } from './valueProblem.ts';

/** What a control does by itself, without Nimble Lever. */
export const nativeOutputSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('wheel'),
    /** Positive away from the person, or to the right. */
    ticks: z.number().int().min(-20).max(20),
    axis: z.enum(['vertical', 'horizontal']).default('vertical'),
  }),
  /** W3C `MouseEvent.button`; 5 is a pen's eraser (Pointer Events). */
  z.strictObject({ kind: z.literal('button'), button: z.number().int().min(0).max(5) }),
]);
/** What a control does by itself: a pointer button or wheel ticks. */
export type NativeOutput = z.infer<typeof nativeOutputSchema>;

/** Turning faster sends more steps: once below `from`, `max` times at `to` and above, in degrees per second. */
export const speedUpSchema = z
  .strictObject({
    max: z.number().int().min(2).max(50),
    from: z.number().min(0).max(10_000),
    to: z.number().min(1).max(10_000),
  })
  .refine(({ from, to }) => from < to, because('range-order'))
  .nullable();
/** How much faster turning counts for more; null for never. */
export type SpeedUp = z.infer<typeof speedUpSchema>;

/**
 * How a control turns. A continuous rotor reports degrees and sends one step every `stepDegrees`; a
 * detented one reports detents, `detentDegrees` apart, and sends one step for each.
 */
const degrees = z.number().min(0.5).max(360);
/** How a control turns: in detents that are felt, or without. */
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
/** How a control turns, in degrees or in rates. */
export type Rotor = z.infer<typeof rotorSchema>;

/** A ring that springs back: steps per second at each position from the first one on. */
export const springSchema = z.strictObject({
  rates: z.array(z.number().min(0.1).max(500)).min(1).max(20),
});
/** A ring that goes back to its rest by itself. */
export type Spring = z.infer<typeof springSchema>;
/** Steps a second by position. Common practice, no source. */
export const USUAL_RATES: readonly number[] = [1, 2, 4, 8, 15, 30, 60];

/** A slider that reports 0 to 1, with the places at which it steps, rising. */
export const sliderSchema = z.strictObject({
  thresholds: z
    .array(z.number().gt(0).lt(1))
    .max(100)
    .refine(
      (places) => places.every((place, i) => i === 0 || place > (places[i - 1] ?? 0)),
      because('thresholds-order'),
    ),
});
/** A fader, with the places at which it steps. */
export type Slider = z.infer<typeof sliderSchema>;

/** What kinds of control there are: they are drawn and named apart. */
export const CONTROL_KINDS = [
  'button',
  'key',
  'wheel',
  'dial',
  'knob',
  'ring',
  'jog',
  'shuttle',
  'slider',
  'xy-pad',
  'pedal',
  'pen-tip',
  'pen-switch',
  'cell',
  'phrase',
  // Of a panel: words and pictures that only are looked at.
  'words',
  'picture',
] as const;

/** More wordings of one phrase nobody keeps apart. */
export const MOST_SPELLINGS = 20;

/** One button, wheel, dial… of a device, with where it sits. */
export const controlSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(CONTROL_KINDS),
  shape: shapeSchema,
  /** The part of a turning control that is pressed; null where the whole shape is. */
  cap: shapeSchema.nullable().default(null),
  canPress: z.boolean(),
  rotor: rotorSchema.nullable().default(null),
  spring: springSchema.nullable().default(null),
  slider: sliderSchema.nullable().default(null),
  /** The other way of a control that slides two: from left to right, where `slider` is from below upwards. */
  across: sliderSchema.nullable().default(null),
  /** The words that are spoken. */
  phrase: lineSchema(200).nullable().default(null),
  /** Other wordings that count as the same phrase: what people say instead, or what a recogniser hears. */
  spellings: z.array(lineSchema(200)).max(MOST_SPELLINGS).default([]),
  native: z.partialRecord(triggerSchema, nativeOutputSchema).default({}),
  /** What a computer hears when the real control is used, for instance `key/F13`; see `Heard`. */
  heardAs: z.array(heardIdSchema).max(8).default([]),
  /** Of a panel's cell: its page and its place in that page's grid, by which its shape goes. */
  cell: cellSchema.nullable().default(null),
});
/** A control of a device: what it can do, where it is drawn, and what it does by itself. */
export type Control = z.infer<typeof controlSchema>;

/** A control with nothing but what is given. */
export function controlOf(
  given: Pick<Control, 'id' | 'name' | 'kind' | 'shape' | 'canPress'> & Partial<Control>,
): Control {
  return {
    cap: null,
    rotor: null,
    spring: null,
    slider: null,
    across: null,
    phrase: null,
    spellings: [],
    native: {},
    heardAs: [],
    cell: null,
    ...given,
  };
}

/** The ways of using a control that everyone expects, in the order in which the Board lists them. */
export function mainTriggersOf(control: Control): readonly Trigger[] {
  const press: readonly Trigger[] = control.canPress ? ['press'] : [];
  const turns: readonly Trigger[] = control.rotor ? ['clockwise', 'anticlockwise'] : [];
  const spring: readonly Trigger[] = control.spring ? ['shuttle-clockwise', 'shuttle-anticlockwise'] : [];
  const slides: readonly Trigger[] = control.slider ? ['slide'] : [];
  const across: readonly Trigger[] = control.across ? ['slide-across'] : [];
  const phrase: readonly Trigger[] = control.phrase === null ? [] : ['phrase'];
  const pressed = control.kind === 'wheel' ? [...press, ...turns] : [...turns, ...press];
  return [...pressed, ...spring, ...slides, ...across, ...phrase];
}

/**
 * All the triggers a control offers: the main ones, each press with its hold, double press and nudges, each
 * turn with the same turn while the control is pressed, a slider's steps.
 */
export function triggersOf(control: Control): readonly Trigger[] {
  return mainTriggersOf(control).flatMap((trigger): readonly Trigger[] => {
    if (trigger === 'press') {
      const touch: readonly Trigger[] = control.kind === 'pen-switch' ? ['touch-press'] : [];
      const nudges = ['nudge-up', 'nudge-right', 'nudge-down', 'nudge-left'] as const;
      return ['press', ...touch, 'hold', 'double-press', ...nudges];
    }
    if (trigger === 'slide')
      return control.slider?.thresholds.length ? [trigger, 'slide-up', 'slide-down'] : [trigger];
    if (trigger === 'slide-across')
      return control.across?.thresholds.length ? [trigger, 'slide-right', 'slide-left'] : [trigger];
    if (trigger === 'clockwise' && control.canPress) return [trigger, 'pressed-clockwise'];
    if (trigger === 'anticlockwise' && control.canPress) return [trigger, 'pressed-anticlockwise'];
    return [trigger];
  });
}
