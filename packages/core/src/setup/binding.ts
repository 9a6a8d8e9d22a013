import { z } from 'zod';
import {
  because,
  facePictureSchema,
  idSchema,
  lineSchema,
  type Trigger,
  triggerSchema,
} from '../devices/index.ts';
import { type Action, actionSchema } from './action.ts';

/** How a press is sent; see the engine's press styles. */
export const PRESS_STYLES = ['follow', 'tap', 'latch', 'repeat', 'release'] as const;
/** A press style by its name in files. */
export const pressStyleSchema = z.enum(PRESS_STYLES);
export type PressStyle = z.infer<typeof pressStyleSchema>;

/** Every press style in a row: whether it needs a control that comes up again, which a turn or a phrase has not. */
const STYLE_KINDS = {
  follow: { needsRelease: true },
  tap: { needsRelease: false },
  latch: { needsRelease: true },
  repeat: { needsRelease: true },
  release: { needsRelease: true },
} satisfies Record<PressStyle, { readonly needsRelease: boolean }>;

/** Whether a press style needs a control that comes up again. */
export function needsRelease(style: PressStyle): boolean {
  return STYLE_KINDS[style].needsRelease;
}

/** When a repeated press is sent again: first after `delayMs`, then every `everyMs`. */
export const repeatSchema = z.strictObject({
  delayMs: z.number().min(10).max(10_000),
  everyMs: z.number().min(5).max(10_000),
});
/** How often something is sent while it is held. */
export type Repeat = z.infer<typeof repeatSchema>;
/** As keyboards repeat by default. Common practice, no source. */
export const USUAL_REPEAT: Repeat = { delayMs: 400, everyMs: 50 };

/** A guarded press asks for a longer press, or for a second one soon after. */
export const guardSchema = z.enum(['longer', 'second']);
/** What a risky command asks for first. */
export type Guard = z.infer<typeof guardSchema>;

/** A program that gets what is sent even when another is in front, brought to the front first where asked. */
export const targetSchema = z.strictObject({ program: idSchema, focus: z.boolean() });
/** A program that is sent to, whichever is in front. */
export type Target = z.infer<typeof targetSchema>;

/** What a binding does. Inherit is the absence of a binding. */
export const behaviourSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('action'),
    action: actionSchema,
    style: pressStyleSchema,
    /** For the style repeat; null takes the usual times. */
    repeat: repeatSchema.nullable().default(null),
    guard: guardSchema.nullable().default(null),
    /** Null: the program in front. */
    target: targetSchema.nullable().default(null),
  }),
  z.strictObject({ kind: z.literal('native') }),
  z.strictObject({
    kind: z.literal('off'),
    /** Programs in the background that hear it all the same. */
    heardBy: z.array(idSchema).max(20).default([]),
    /** What they hear; null: what the control does by itself. */
    sends: actionSchema.nullable().default(null),
  }),
]);
/** What a binding does: an action, nothing, or what the control does by itself. */
export type Behaviour = z.infer<typeof behaviourSchema>;

/** The behaviour that sends an action in a press style, with nothing else asked. */
export function acting(action: Action, style: PressStyle): Extract<Behaviour, { kind: 'action' }> {
  return { kind: 'action', action, style, repeat: null, guard: null, target: null };
}

/** The behaviour that sends nothing. */
export const OFF: Behaviour = { kind: 'off', heardBy: [], sends: null };

/** Colours of a face; each is readable on both themes, and none means anything by itself. */
export const FACE_COLOURS = ['ink', 'blue', 'teal', 'plum', 'amber', 'green'] as const;
/** A colour of a face. */
export const colourSchema = z.enum(FACE_COLOURS);
/** What a control shows. */
export const faceSchema = z.strictObject({
  label: lineSchema(24).nullable(),
  icon: idSchema.nullable(),
  colour: colourSchema.nullable(),
  picture: facePictureSchema.nullable().default(null),
});
/** What a control shows: a short label, an icon, a colour, a picture of the person's own. */
export type Face = z.infer<typeof faceSchema>;
/** A face with nothing on it, which is kept as none: the control shows the name of what it does. */
export const NO_FACE: Face = { label: null, icon: null, colour: null, picture: null };
/** Every part of a face; each is set by itself. */
export const FACE_PARTS = Object.keys(NO_FACE) as readonly (keyof Face)[];

/** A note to self; it may run over several lines. */
export const noteSchema = z
  .string()
  .trim()
  .min(1)
  .max(1000)
  .regex(/^(?:[^\p{Cc}\p{Cs}]|[\n\t])*$/u, because('text'));

/** What stands in a slot. */
export const bindingSchema = z.strictObject({
  behaviour: behaviourSchema,
  face: faceSchema.nullable(),
  note: noteSchema.nullable(),
});
/** What is set in a slot: what it does, how it looks, why. */
export type Binding = z.infer<typeof bindingSchema>;

/** Where a binding sits: device, control and trigger in a profile's layer, or on a page of the device. */
export const slotSchema = z.strictObject({
  profile: idSchema,
  /** A layer, or a page of the device; no two of them share an id. */
  layer: idSchema,
  device: idSchema,
  control: idSchema,
  trigger: triggerSchema,
});
/** Where a binding stands. */
export type Slot = z.infer<typeof slotSchema>;

/** The key of a binding inside its profile. Ids hold no `/`, so keys cannot clash. */
export function slotKey(layer: string, device: string, control: string, trigger: Trigger): string {
  return `${layer}/${device}/${control}/${trigger}`;
}

/** The key of a slot inside its profile. */
export function keyOf(slot: Slot): string {
  return slotKey(slot.layer, slot.device, slot.control, slot.trigger);
}

/** The slot a key stands for, in a set-up that was checked. */
export function slotIn(profile: string, key: string): Slot {
  const [layer = '', device = '', control = '', trigger = ''] = key.split('/');
  return { profile, layer, device, control, trigger: trigger as Trigger };
}

/** The slot any text stands for, or null where it is no key of a slot. */
export function slotOf(profile: string, key: string): Slot | null {
  const { success, data } = slotSchema.safeParse(slotIn(profile, key));
  return success && keyOf(data) === key ? data : null;
}
