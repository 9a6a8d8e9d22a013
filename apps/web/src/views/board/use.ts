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
