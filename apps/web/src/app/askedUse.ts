import { idSchema, triggerSchema } from '@nimble-lever/core/devices';
import { z } from 'zod';

/** A way of using a control that another view asks the Board to show, and whether it is to be given something to do. */
const askedUseSchema = z.object({
  device: idSchema,
  control: idSchema,
  trigger: triggerSchema,
  /** The column and the layer; without them, those that are shown and in front. */
  profile: idSchema.optional(),
  layer: idSchema.optional(),
  assigning: z.boolean(),
});
export type AskedUse = z.infer<typeof askedUseSchema>;

/** What was asked for; null where nothing was, or where a page of another version left something else. */
export function readAskedUse(state: unknown): AskedUse | null {
  return askedUseSchema.safeParse(state).data ?? null;
}
