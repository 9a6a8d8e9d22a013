import { z } from 'zod';

/**
 * The ways a control is used. A wheel's `clockwise` is the turn away from the person, as wheel ticks are
 * positive away from the person. `touch-press` is a press of a pen's switch while its tip touches. `slide`
 * sends a slider's value; `slide-up` and `slide-down` step as it crosses its thresholds.
 */
export const TRIGGERS = [
  'press',
  'touch-press',
  'hold',
  'double-press',
  'nudge-up',
  'nudge-right',
  'nudge-down',
  'nudge-left',
  'clockwise',
  'anticlockwise',
  'pressed-clockwise',
  'pressed-anticlockwise',
  'shuttle-clockwise',
  'shuttle-anticlockwise',
  'slide',
  'slide-up',
  'slide-down',
  'phrase',
] as const;
export const triggerSchema = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof triggerSchema>;

const PRESSED: ReadonlySet<Trigger> = new Set([
  'press',
  'touch-press',
  'hold',
  'double-press',
  'nudge-up',
  'nudge-right',
  'nudge-down',
  'nudge-left',
]);

/** Whether a trigger has a down and an up, so that something can be held; a turn, say, only steps. */
export function isPressed(trigger: Trigger): boolean {
  return PRESSED.has(trigger);
}
