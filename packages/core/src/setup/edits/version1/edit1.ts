import { z } from 'zod';
import { idSchema } from '../../../devices/index.ts';
import { slotSchema } from '../../binding.ts';

/** Edits as version 1 had them: they carry whole items. What is inside is read when it has been brought up to date. */
const item = z.record(z.string(), z.unknown()).nullable();
/** Places in lists: edits of the first version knew items by their number. */
const at = z.number().int().min(0);

/** The edits there were. What they carry is not read here, only brought up to date. */
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
/** One edit of the first version. */
export type Single1 = z.infer<typeof single>;

/** One, or several together. */
export const edit1Schema = z.discriminatedUnion('kind', [
  ...single.options,
  z.object({ kind: z.literal('together'), edits: z.array(single) }),
]);
/** An edit of the first version. */
export type Edit1 = z.infer<typeof edit1Schema>;

/** The single edits of one of version 1. */
export function singles1(edit: Edit1): readonly Single1[] {
  return edit.kind === 'together' ? edit.edits : [edit];
}
