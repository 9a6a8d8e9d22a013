import type { Control, Trigger } from '@nimble-lever/core/devices';

/** A control of the rig is used while the person is on the Board. */
export interface Use {
  readonly control: Control;
  readonly trigger: Trigger;
  /** False when it comes up, or has stopped turning. */
  readonly down: boolean;
  /** Whether its row is to be selected, or only lit. */
  readonly select: boolean;
}

/** The trigger of a turn by its sign: clockwise is positive. */
export function turnTrigger(amount: number): 'clockwise' | 'anticlockwise' {
  return amount > 0 ? 'clockwise' : 'anticlockwise';
}

/** The trigger of a control that was moved to a place: a slider slides, a ring steps one way or the other. */
export function positionTrigger(control: Control, value: number, axis?: 'across'): Trigger {
  if (axis === 'across') return 'slide-across';
  if (control.slider) return 'slide';
  return value < 0 ? 'shuttle-anticlockwise' : 'shuttle-clockwise';
}
