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
/** A trigger by its name in files. */
export const triggerSchema = z.enum(TRIGGERS);
export type Trigger = z.infer<typeof triggerSchema>;

/** What is done with a control: several triggers are the same kind of movement. */
export type Way =
  | 'press'
  | 'hold'
  | 'nudge'
  | 'turn'
  | 'pressed-turn'
  | 'shuttle'
  | 'slide'
  | 'slide-step'
  | 'phrase';

/** What must be said of every trigger. */
interface TriggerKind {
  readonly way: Way;
  /** Whether it has a down and an up, so that something can be held; a turn, say, only steps. */
  readonly isPressed: boolean;
}

/** A trigger that goes down and comes up, and one that only steps. */
const pressed = (way: Way): TriggerKind => ({ way, isPressed: true });
const stepped = (way: Way): TriggerKind => ({ way, isPressed: false });

/** Every trigger in a row; what else it needs, the compiler names by the switches over `Way`. */
const TRIGGER_KINDS = {
  press: pressed('press'),
  'touch-press': pressed('press'),
  hold: pressed('hold'),
  'double-press': pressed('hold'),
  'nudge-up': pressed('nudge'),
  'nudge-right': pressed('nudge'),
  'nudge-down': pressed('nudge'),
  'nudge-left': pressed('nudge'),
  clockwise: stepped('turn'),
  anticlockwise: stepped('turn'),
  'pressed-clockwise': stepped('pressed-turn'),
  'pressed-anticlockwise': stepped('pressed-turn'),
  'shuttle-clockwise': stepped('shuttle'),
  'shuttle-anticlockwise': stepped('shuttle'),
  slide: stepped('slide'),
  'slide-up': stepped('slide-step'),
  'slide-down': stepped('slide-step'),
  phrase: stepped('phrase'),
} satisfies Record<Trigger, TriggerKind>;

/** Whether a trigger has a down and an up, so that something can be held; a turn, say, only steps. */
export function isPressed(trigger: Trigger): boolean {
  return TRIGGER_KINDS[trigger].isPressed;
}

/** What is done with a control by a trigger. */
export function wayOf(trigger: Trigger): Way {
  return TRIGGER_KINDS[trigger].way;
}
