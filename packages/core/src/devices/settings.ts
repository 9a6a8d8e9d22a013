import { z } from 'zod';
import { nameSchema } from './names.ts';
import { because } from './valueProblem.ts';

/** Shorter than 20 ms nobody can press, longer than 5 s nobody waits: common practice, no source. */
const milliseconds = z.number().min(20).max(5000);

/** See `Acceleration`. */
export const accelerationSchema = z
  .strictObject({
    max: z.number().gt(1).max(10),
    from: z.number().min(0).max(2000),
    to: z.number().min(1).max(5000),
  })
  .refine(({ from, to }) => from < to, because('range-order'))
  .nullable();

/** How a wheel may turn: in notches that are felt, or freely. */
export const WHEEL_MODES = ['ratchet', 'free'] as const;
/** One of both. */
export type WheelMode = (typeof WHEEL_MODES)[number];

/** How wheels scroll by themselves. */
export const wheelSettingsSchema = z.strictObject({
  /** Lines that one notch scrolls; a line is one wheel tick. */
  lines: z.number().int().min(1).max(20),
  /** Without its ratchet a wheel turns smoothly and reports degrees. */
  free: z.boolean(),
  /** Whether the page follows the finger, rather than the view. */
  reversed: z.boolean(),
  /**
   * How long a free wheel that was flicked goes on: milliseconds until it turns 1/e as fast; 0: it stops with the
   * finger. See `coastedDegrees`.
   */
  coastMs: z.number().int().min(0).max(5000).default(600),
  /** What it scrolls comes in small parts, one after the other, rather than a line at a time. */
  smooth: z.boolean().default(false),
});
/** What a notch of a wheel sends. */
export type WheelSettings = z.infer<typeof wheelSettingsSchema>;
/** A wheel as it comes. */
export const USUAL_WHEEL: WheelSettings = wheelSettingsSchema.parse({
  lines: 1,
  free: false,
  reversed: false,
});

/** Reports a second that a pointing device may send: an interval of 8 ms down to one microframe of 125 µs (USB 2.0). */
export const REPORT_RATES = [125, 250, 500, 1000, 2000, 4000, 8000] as const;

/** Pointer speeds kept on one device. Common practice is up to five; no source. */
export const MOST_SPEEDS = 8;
/** Computers one device can talk to. Common practice, no source. */
export const MOST_COMPUTERS = 3;

/** What is set once for a device: times in milliseconds, distances in pixels. */
export const deviceSettingsSchema = z.strictObject({
  /** A press held this long is a hold. */
  holdMs: milliseconds.default(250),
  /** A second press this soon after the first came up is a double press. */
  doubleMs: milliseconds.default(300),
  /** The pointer moved this far while a control is down is a nudge. */
  nudgeDistance: z.number().min(2).max(500).default(24),
  /** How long a guarded press is held. */
  guardMs: milliseconds.default(600),
  /** How soon a guarded press must be repeated. */
  confirmMs: milliseconds.default(2000),
  /** Pointer speeds to choose from, as factors; the first is the one at the start. None: it has no pointer. */
  pointerSpeeds: z.array(z.number().min(0.05).max(20)).max(MOST_SPEEDS).default([]),
  acceleration: accelerationSchema.default(null),
  wheel: wheelSettingsSchema.default(USUAL_WHEEL),
  /** Reports a second; null for a device that has no choice. */
  reportRate: z
    .union(REPORT_RATES.map((rate) => z.literal(rate)))
    .nullable()
    .default(null),
  /** Left and right button change places. */
  swapped: z.boolean().default(false),
  /** The computers it can talk to, by name; the first is this one. None: it talks to this one only. */
  computers: z.array(nameSchema).max(MOST_COMPUTERS).default([]),
  /** At this charge and below its battery is low: percent. */
  batteryWarning: z.number().int().min(1).max(90).default(15),
});
/** How a device is tuned. */
export type DeviceSettings = z.infer<typeof deviceSettingsSchema>;

/** The settings a device comes with. */
export const USUAL_SETTINGS: DeviceSettings = deviceSettingsSchema.parse({});
