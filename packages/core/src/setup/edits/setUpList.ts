import { z } from 'zod';
import { idSchema } from '../../devices/index.ts';
import { revisionSchema } from './history.ts';

/** The set-ups there are. */
export const setUpListSchema = z.array(
  z.object({
    id: idSchema,
    name: z.string(),
    revision: revisionSchema,
    /** Since when it is in the bin: ISO 8601, UTC; null where it is not. */
    binnedAt: z.iso.datetime().nullable(),
  }),
);
/** A set-up as lists have it. */
export type SetUpHead = z.infer<typeof setUpListSchema>[number];

/** So long a set-up stays in the bin: days. */
export const BIN_DAYS = 30;
