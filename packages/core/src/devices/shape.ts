import { z } from 'zod';
import { because } from './valueProblem.ts';

/** Places and lengths in millimetres; two metres are more than any desk has. */
const mm = z.number().min(-2000).max(2000);
const length = z.number().positive().max(2000);

/** An outline in millimetres; x to the right, y downwards, from the device's top left corner. */
export const shapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('rect'),
    x: mm,
    y: mm,
    width: length,
    height: length,
    radius: z.number().min(0).max(1000),
  }),
  z.strictObject({ kind: z.literal('circle'), cx: mm, cy: mm, r: length }),
  z.strictObject({
    kind: z.literal('path'),
    d: z
      .string()
      .max(2000)
      .regex(/^[MmLlHhVvCcSsQqTtAaZz0-9 ,.-]+$/, because('shape-path')),
  }),
]);
/** Where a control is on its device, and what it looks like. */
export type Shape = z.infer<typeof shapeSchema>;
