import { z } from 'zod';
import { because, idSchema, WHEEL_MODES } from '../devices/index.ts';
import { shortcutSchema } from './shortcutSchema.ts';

/** Text that is typed; it may run over several lines. */
export const typedTextSchema = z
  .string()
  .min(1)
  .max(2000)
  .regex(/^(?:[^\p{Cc}\p{Cs}]|[\n\t])*$/u, because('text'));

/** The corners of a window. */
export const CORNERS = ['top-left', 'top-right', 'bottom-left', 'bottom-right'] as const;
/** One of them. */
export type Corner = (typeof CORNERS)[number];

/**
 * A place in pixels; x to the right, y downwards, from the screen's top left corner, a corner of the front window, or from
 * where the pointer is.
 */
export const placeSchema = z.strictObject({
  from: z.enum(['screen', 'window', 'pointer']),
  /** Of the window; counts for nothing else. */
  corner: z.enum(CORNERS).default('top-left'),
  x: z.number().min(-20_000).max(20_000),
  y: z.number().min(-20_000).max(20_000),
});
/** Where to click: pixels from the screen’s, a window’s corner or the pointer’s place. */
export type Place = z.infer<typeof placeSchema>;

/** Number of a mouse button (UI Events, `MouseEvent.button`): left, middle, right, back, forward. */
const button = z.number().int().min(0).max(4);
const ticks = z
  .number()
  .int()
  .min(-20)
  .max(20)
  .refine((count) => count !== 0, because('ticks-zero'));

/** A click of a pointer button, where the pointer is (`at` null) or at a place. */
export const clickFields = {
  kind: z.literal('click'),
  /** W3C `MouseEvent.button`. */
  button,
  count: z.number().int().min(1).max(3),
  at: placeSchema.nullable(),
  /** Held meanwhile: modifiers, or a key. */
  keys: shortcutSchema.optional(),
};

/** Wheel ticks; positive away from the person, or to the right. */
export const wheelFields = {
  kind: z.literal('wheel'),
  ticks,
  axis: z.enum(['vertical', 'horizontal']).default('vertical'),
  /** Held meanwhile. */
  keys: shortcutSchema.optional(),
};

/**
 * Where a value goes: an OSC address (Open Sound Control 1.0) or a MIDI controller (MIDI 1.0, control change).
 * A slider at 0 sends `low`, at 1 `high`; a press sends `high` down and `low` up. MIDI values are rounded.
 */
export const messageSchema = z.discriminatedUnion('protocol', [
  z.strictObject({
    protocol: z.literal('osc'),
    address: z
      .string()
      .max(200)
      .regex(/^(\/[^\s#*,/?[\]{}\p{Cc}\p{Cs}]+)+$/u, because('osc-address')),
    low: z.number(),
    high: z.number(),
  }),
  z.strictObject({
    protocol: z.literal('midi'),
    channel: z.number().int().min(1).max(16),
    controller: z.number().int().min(0).max(127),
    low: z.number().int().min(0).max(127),
    high: z.number().int().min(0).max(127),
  }),
]);
/** A control message: OSC 1.0 or a MIDI 1.0 control change. */
export type Message = z.infer<typeof messageSchema>;

/**
 * What can be done with pages: a folder opened, a page back, all folders closed, the next or previous set, one of them,
 * or a menu of them.
 */
export const PAGE_CHANGES = ['open', 'back', 'home', 'next-set', 'previous-set', 'choose', 'ask'] as const;
/** What an action does with the pages of a device. */
export type PageChange = (typeof PAGE_CHANGES)[number];

/** One schema a kind. What a kind needs besides, `actionKinds` says; the compiler holds the two together. */
const actionOptions = [
  z.strictObject({ kind: z.literal('shortcut'), shortcut: shortcutSchema }),
  /** A command of the profile's program, or a common one. */
  z.strictObject({ kind: z.literal('command'), command: idSchema }),
  /** The command of an intent that the program has that gets it; nothing where it has none. */
  z.strictObject({ kind: z.literal('intent'), intent: idSchema }),
  /** Shortcuts one after the other, each exact. */
  z.strictObject({ kind: z.literal('sequence'), shortcuts: z.array(shortcutSchema).min(1).max(20) }),
  z.strictObject({ kind: z.literal('text'), text: typedTextSchema }),
  z.strictObject({ kind: z.literal('button'), button }),
  z.strictObject(clickFields),
  /** Keys (null: none) and a pointer button, down as long as the press is: the pointer's own movement does the rest. */
  z.strictObject({ kind: z.literal('drag'), keys: shortcutSchema.nullable(), button }),
  z.strictObject(wheelFields),
  z.strictObject({ kind: z.literal('macro'), macro: idSchema }),
  /** `on`: as long as the press keeps it on. `once`: for the next press only. */
  z.strictObject({ kind: z.literal('layer'), layer: idSchema, mode: z.enum(['on', 'once']) }),
  /**
   * Opens a folder, or chooses a set (page null: the device's own); or goes about the pages of a device (null: the
   * control's own).
   */
  z
    .strictObject({
      kind: z.literal('page'),
      change: z.enum(PAGE_CHANGES),
      page: idSchema.nullable(),
      device: idSchema.nullable(),
    })
    .refine(({ change, page }) => change !== 'open' || page !== null, because('page-open'))
    .refine(
      ({ change, page, device }) =>
        page === null || (device === null && (change === 'open' || change === 'choose')),
      because('page-named'),
    ),
  z
    .strictObject({
      kind: z.literal('profile'),
      change: z.enum(['pin', 'next', 'previous', 'automatic']),
      /** The one to pin, or those to go round; all of them where there are none. */
      profiles: z.array(idSchema).max(50),
    })
    .refine(({ change, profiles }) => change !== 'pin' || profiles.length === 1, because('pin-one')),
  /** Pointer speed of a device (null: the control's own): the next or previous step, one step, or one while held. */
  z.strictObject({
    kind: z.literal('speed'),
    device: idSchema.nullable(),
    change: z.enum(['next', 'previous', 'set', 'while-held']),
    step: z.number().int().min(0).max(7),
  }),
  /** How the wheels of a device (null: the control's own) turn: the other way, one of both, or one while held. */
  z.strictObject({
    kind: z.literal('wheel-mode'),
    device: idSchema.nullable(),
    change: z.enum(['toggle', 'set', 'while-held']),
    mode: z.enum(WHEEL_MODES),
  }),
  /** Which computer a device (null: the control's own) talks to. */
  z.strictObject({
    kind: z.literal('computer'),
    device: idSchema.nullable(),
    change: z.enum(['next', 'set']),
    computer: z.number().int().min(0).max(2),
  }),
  /** Brings a program to the front, starting it where asked. */
  z.strictObject({ kind: z.literal('program'), program: idSchema, launch: z.boolean() }),
  z.strictObject({ kind: z.literal('radial'), menu: idSchema }),
  /** Shows what every control of a device (null: of all) does now, as long as the press keeps it on. */
  z.strictObject({ kind: z.literal('show'), device: idSchema.nullable() }),
  z.strictObject({ kind: z.literal('message'), message: messageSchema }),
] as const;

/** What a binding sends or changes. */
export const actionSchema = z.discriminatedUnion('kind', actionOptions);
/** What a binding sends or changes. */
export type Action = z.infer<typeof actionSchema>;
