import { z } from 'zod';

/**
 * The ways a control is used. A wheel's `clockwise` is the turn away from the person, as wheel ticks are
 * positive away from the person. `touch-press` is a press of a pen's switch while its tip touches. `slide`
 * sends a slider's value; `slide-up` and `slide-down` step as it crosses its thresholds. `slide-across` and its steps are
 * the other way of a control that slides two.
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
  'slide-across',
  'slide-right',
  'slide-left',
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
  /** The same movement the other way; null for what has no other way. */
  readonly opposite: Trigger | null;
  /** Whether it has a down and an up, so that something can be held; a turn, say, only steps. */
  readonly isPressed: boolean;
}

/** A trigger that goes down and comes up, and one that only steps. */
const pressed = (way: Way, opposite: Trigger | null = null): TriggerKind => ({
  way,
  opposite,
  isPressed: true,
});
const stepped = (way: Way, opposite: Trigger | null = null): TriggerKind => ({
  way,
  opposite,
  isPressed: false,
});

/** Every trigger in a row; what else it needs, the compiler names by the switches over `Way`. */
const TRIGGER_KINDS = {
  press: pressed('press'),
  'touch-press': pressed('press'),
  hold: pressed('hold'),
  'double-press': pressed('hold'),
  'nudge-up': pressed('nudge', 'nudge-down'),
  'nudge-right': pressed('nudge', 'nudge-left'),
  'nudge-down': pressed('nudge', 'nudge-up'),
  'nudge-left': pressed('nudge', 'nudge-right'),
  clockwise: stepped('turn', 'anticlockwise'),
  anticlockwise: stepped('turn', 'clockwise'),
  'pressed-clockwise': stepped('pressed-turn', 'pressed-anticlockwise'),
  'pressed-anticlockwise': stepped('pressed-turn', 'pressed-clockwise'),
  'shuttle-clockwise': stepped('shuttle', 'shuttle-anticlockwise'),
  'shuttle-anticlockwise': stepped('shuttle', 'shuttle-clockwise'),
  slide: stepped('slide'),
  'slide-up': stepped('slide-step', 'slide-down'),
  'slide-down': stepped('slide-step', 'slide-up'),
  'slide-across': stepped('slide'),
  'slide-right': stepped('slide-step', 'slide-left'),
  'slide-left': stepped('slide-step', 'slide-right'),
  phrase: stepped('phrase'),
} satisfies Record<Trigger, TriggerKind>;

/** Whether a trigger has a down and an up, so that something can be held; a turn, say, only steps. */
export function isPressed(trigger: Trigger): boolean {
  return TRIGGER_KINDS[trigger].isPressed;
}

/** The trigger of the same movement the other way: two that are bound as a pair. Null where there is no other way. */
export function oppositeOf(trigger: Trigger): Trigger | null {
  return TRIGGER_KINDS[trigger].opposite;
}

/** Whether a trigger is the one of its pair that goes clockwise, away, up or to the right. */
export function isPlus(trigger: Trigger): boolean {
  const opposite = oppositeOf(trigger);
  // Of each pair the table has that one first.
  return opposite !== null && TRIGGERS.indexOf(trigger) < TRIGGERS.indexOf(opposite);
}

/** Whether a way of using a control is one that only moves something: it shows through a folder that covers all else. */
const MOVES = {
  press: false,
  hold: false,
  nudge: false,
  turn: true,
  'pressed-turn': true,
  shuttle: true,
  slide: true,
  'slide-step': true,
  phrase: false,
} satisfies Record<Way, boolean>;

/** Whether a trigger is a turn or a slide, and no press. */
export function isMoved(trigger: Trigger): boolean {
  return MOVES[TRIGGER_KINDS[trigger].way];
}

/** What is done with a control by a trigger. */
export function wayOf(trigger: Trigger): Way {
  return TRIGGER_KINDS[trigger].way;
}
