import { z } from 'zod';
import { idSchema, LINE_PATTERN, nameSchema } from '../devices/index.ts';
import { actionSchema } from './action.ts';

/** A ring of up to eight items round the pointer; the first at the top, then clockwise, in equal sectors. */
export const radialMenuSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  items: z
    .array(
      z.strictObject({
        label: z.string().trim().min(1).max(24).regex(LINE_PATTERN),
        icon: idSchema.nullable(),
        action: actionSchema,
      }),
    )
    .min(1)
    .max(8),
});
export type RadialMenu = z.infer<typeof radialMenuSchema>;
export type RadialItem = RadialMenu['items'][number];
