import { z } from 'zod';

/**
 * The ways a control is used. A wheel's `clockwise` is the turn away from the person, as wheel ticks are
 * positive away from the person.
 */
export const TRIGGERS = [
  'press',
  'hold',
  'double-press',
  'clockwise',
  'anticlockwise',
  'pressed-clockwise',
  'pressed-anticlockwise',
] as const;
export const triggerSchema = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof triggerSchema>;

/** Whether a trigger has a down and an up, so that something can be held; a turn only steps. */
export function isPressed(trigger: Trigger): boolean {
  return trigger === 'press' || trigger === 'hold' || trigger === 'double-press';
}
