import { z } from 'zod';

/**
 * The ways a control is used. A wheel's `clockwise` is the turn away from the person, as wheel ticks are
 * positive away from the person.
 */
export const TRIGGERS = ['press', 'clockwise', 'anticlockwise'] as const;
export const triggerSchema = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof triggerSchema>;
