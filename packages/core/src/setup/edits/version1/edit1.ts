import { z } from 'zod';
import { idSchema } from '../../../devices/index.ts';
import { slotSchema } from '../../binding.ts';

/** Edits as version 1 had them: they carry whole items. What is inside is read when it has been brought up to date. */
const item = z.record(z.string(), z.unknown()).nullable();
const at = z.number().int().min(0);

const single = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('set-binding'), slot: slotSchema, binding: item }),
  z.object({ kind: z.literal('set-face'), slot: slotSchema, face: item }),
  z.object({ kind: z.literal('set-note'), slot: slotSchema, note: z.string().nullable() }),
  z.object({
    kind: z.literal('add-program'),
    program: z.looseObject({ id: idSchema, name: z.string() }),
    profiles: z.array(z.looseObject({ id: idSchema })),
    at,
  }),
  z.object({ kind: z.literal('rename-program'), program: idSchema, name: z.string() }),
  z.object({ kind: z.literal('remove-program'), program: idSchema }),
  z.object({ kind: z.literal('move-program'), program: idSchema, to: at }),
  z.object({
    kind: z.enum(['set-device', 'set-layer', 'set-macro', 'set-radial-menu']),
    id: idSchema,
    item,
    at,
  }),
]);
export type Single1 = z.infer<typeof single>;

export const edit1Schema = z.discriminatedUnion('kind', [
  ...single.options,
  z.object({ kind: z.literal('together'), edits: z.array(single) }),
]);
export type Edit1 = z.infer<typeof edit1Schema>;

/** The single edits of one of version 1. */
export function singles1(edit: Edit1): readonly Single1[] {
  return edit.kind === 'together' ? edit.edits : [edit];
}
