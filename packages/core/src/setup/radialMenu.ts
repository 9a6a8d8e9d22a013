import { z } from 'zod';
import { idSchema, lineSchema, nameSchema } from '../devices/index.ts';
import { actionSchema } from './action.ts';

/** More are too narrow to be hit without looking. Common practice, no source. */
export const MOST_ITEMS = 8;

/** An item; it may do what a binding of its menu's program may, or of Everywhere where the menu belongs to none. */
export const radialItemSchema = z.strictObject({
  id: idSchema,
  label: lineSchema(24),
  icon: idSchema.nullable(),
  action: actionSchema,
});
/** An item of a menu: what it says and does. */
export type RadialItem = z.infer<typeof radialItemSchema>;

/** Up to eight items round the pointer; the first at the top, then clockwise, in equal sectors. */
export const radialMenuSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** The program whose commands its items may run; null for a menu of every program. */
  program: idSchema.nullable().default(null),
  items: z.array(radialItemSchema).min(1).max(MOST_ITEMS),
});
/** A menu that opens around the pointer. */
export type RadialMenu = z.infer<typeof radialMenuSchema>;
