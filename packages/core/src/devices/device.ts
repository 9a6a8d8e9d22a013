import { z } from 'zod';
import { controlSchema } from './control.ts';
import { idSchema, nameSchema } from './names.ts';
import { shapeSchema } from './shape.ts';

const milliseconds = z.number().min(20).max(5000);

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
  pointerSpeeds: z.array(z.number().min(0.05).max(20)).max(8).default([]),
  /** The computers it can talk to, by name; the first is this one. None: it talks to this one only. */
  computers: z.array(nameSchema).max(3).default([]),
});
export type DeviceSettings = z.infer<typeof deviceSettingsSchema>;

/** The settings a device comes with. */
export const USUAL_SETTINGS: DeviceSettings = deviceSettingsSchema.parse({});

export const DEVICE_KINDS = [
  'mouse',
  'dial',
  'key-pad',
  'pen-tablet',
  'shuttle',
  'pedals',
  'touch-panel',
  'voice',
] as const;

/** A device of the rig: what it is called, what it looks like (millimetres) and its controls. */
export const deviceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(DEVICE_KINDS),
  width: z.number().positive().max(2000),
  height: z.number().positive().max(2000),
  body: z.array(shapeSchema).max(50),
  controls: z.array(controlSchema).max(400),
  settings: deviceSettingsSchema.default(USUAL_SETTINGS),
  /** Its USB HID report descriptor as hexadecimal text, for a device that described itself. */
  descriptor: z
    .string()
    .max(200_000)
    .regex(/^[0-9A-F ]+$/)
    .nullable()
    .default(null),
});
export type Device = z.infer<typeof deviceSchema>;
