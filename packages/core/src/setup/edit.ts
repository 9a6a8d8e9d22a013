import { z } from 'zod';
import { deviceSchema, idSchema, nameSchema } from '../devices/index.ts';
import { bindingSchema, faceSchema, noteSchema, slotSchema } from './binding.ts';
import { macroSchema } from './macro.ts';
import { radialMenuSchema } from './radialMenu.ts';
import { LIMITS, layerSchema, profileSchema, programSchema } from './setup.ts';

const position = z
  .number()
  .int()
  .min(0)
  .max(LIMITS.programs - 1);

/** Adds, changes, moves or (null) removes one item of a list; `at` is its place afterwards. */
function part<Item extends z.ZodType>(item: Item) {
  return { id: idSchema, item: item.nullable(), at: z.number().int().min(0).max(LIMITS.macros) };
}

const singleEdits = [
  /** Sets what a slot does; null goes back to inherit and drops its face and note. */
  z.strictObject({ kind: z.literal('set-binding'), slot: slotSchema, binding: bindingSchema.nullable() }),
  z.strictObject({ kind: z.literal('set-face'), slot: slotSchema, face: faceSchema.nullable() }),
  z.strictObject({ kind: z.literal('set-note'), slot: slotSchema, note: noteSchema.nullable() }),
  z.strictObject({
    kind: z.literal('add-program'),
    program: programSchema,
    profiles: z.array(profileSchema).min(1).max(50),
    at: position,
  }),
  z.strictObject({ kind: z.literal('rename-program'), program: idSchema, name: nameSchema }),
  z.strictObject({ kind: z.literal('remove-program'), program: idSchema }),
  z.strictObject({ kind: z.literal('move-program'), program: idSchema, to: position }),
  z.strictObject({ kind: z.literal('set-device'), ...part(deviceSchema) }),
  z.strictObject({ kind: z.literal('set-layer'), ...part(layerSchema) }),
  z.strictObject({ kind: z.literal('set-macro'), ...part(macroSchema) }),
  z.strictObject({ kind: z.literal('set-radial-menu'), ...part(radialMenuSchema) }),
] as const;

const singleEditSchema = z.discriminatedUnion('kind', singleEdits);
export type SingleEdit = z.infer<typeof singleEditSchema>;

/** One change to a set-up. `together` holds changes that apply, and are undone, as one. */
export const editSchema = z.discriminatedUnion('kind', [
  ...singleEdits,
  z.strictObject({ kind: z.literal('together'), edits: z.array(singleEditSchema).min(1).max(5000) }),
]);
export type Edit = z.infer<typeof editSchema>;
