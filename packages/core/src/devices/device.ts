import { z } from 'zod';
import { controlSchema } from './control.ts';
import { idSchema, nameSchema } from './names.ts';
import { touchPanelSchema } from './panel/touchPanel.ts';
import { deviceSettingsSchema, USUAL_SETTINGS } from './settings.ts';
import { shapeSchema } from './shape.ts';
import { because } from './valueProblem.ts';

/** What kinds of device there are. */
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

/** A kind of device, by which the rig groups and draws it. */
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** Every kind of device in a row: whether it moves the pointer, whether it is spoken to. */
const KIND_TRAITS = {
  mouse: { pointer: true, voice: false },
  dial: { pointer: false, voice: false },
  'key-pad': { pointer: false, voice: false },
  'pen-tablet': { pointer: true, voice: false },
  shuttle: { pointer: false, voice: false },
  pedals: { pointer: false, voice: false },
  'touch-panel': { pointer: false, voice: false },
  voice: { pointer: false, voice: true },
} satisfies Record<DeviceKind, { readonly pointer: boolean; readonly voice: boolean }>;

/** Whether devices of a kind move the pointer. */
export function movesPointer(kind: DeviceKind): boolean {
  return KIND_TRAITS[kind].pointer;
}

/** Whether devices of a kind are spoken to, so that their controls are phrases. */
export function takesPhrases(kind: DeviceKind): boolean {
  return KIND_TRAITS[kind].voice;
}

/** A device's own memory: places that each keep one profile's simplest part, of a size in bytes. */
export const memorySchema = z.strictObject({
  slots: z.number().int().min(1).max(8),
  slotBytes: z.number().int().min(16).max(4096),
});
/** What a device keeps inside itself; null for most. */
export type DeviceMemory = z.infer<typeof memorySchema>;

/** So many controls a device may have: twenty pages of a panel with a hundred cells each. */
export const MOST_CONTROLS = 2000;

/** A device of the rig: what it is called, what it looks like (millimetres) and its controls. */
export const deviceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  kind: z.enum(DEVICE_KINDS),
  width: z.number().positive().max(2000),
  height: z.number().positive().max(2000),
  body: z.array(shapeSchema).max(50),
  controls: z.array(controlSchema).max(MOST_CONTROLS),
  settings: deviceSettingsSchema.default(USUAL_SETTINGS),
  /** Its USB HID report descriptor as hexadecimal text, for a device that described itself; a slash parts interfaces. */
  descriptor: z
    .string()
    .max(200_000)
    .regex(/^[0-9A-F /]+$/, because('descriptor'))
    .nullable()
    .default(null),
  /** Which device of the catalogue it came as; null for one that is in no catalogue. */
  model: idSchema.nullable().default(null),
  /** Whether it runs on a battery. */
  battery: z.boolean().default(false),
  memory: memorySchema.nullable().default(null),
  /** What makes it a panel whose pages are drawn on grids; null for any other device. */
  panel: touchPanelSchema.nullable().default(null),
});
/** A device of the rig. */
export type Device = z.infer<typeof deviceSchema>;

/** What a device cannot be without; the rest has a usual value. */
type Needed = 'id' | 'name' | 'kind' | 'width' | 'height' | 'controls';

/** A device with nothing but what is given. */
export function deviceOf(given: Pick<Device, Needed> & Partial<Device>): Device {
  return {
    body: [],
    settings: USUAL_SETTINGS,
    descriptor: null,
    model: null,
    battery: false,
    memory: null,
    panel: null,
    ...given,
  };
}
