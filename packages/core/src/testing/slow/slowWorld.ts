import type { Control, DeviceSettings, Trigger } from '../../devices/index.ts';
import type { SlowActions } from './slowActions.ts';
import type { SlowClock } from './slowClock.ts';
import type { SlowDesk } from './slowDesk.ts';
import type { Choice } from './slowLook.ts';

/** What the parts of the slow model know of the rest. */
export interface SlowWorld {
  readonly desk: SlowDesk;
  readonly clock: SlowClock;
  readonly actions: SlowActions;
  /** Looked up in the layers of now, or in those given. */
  readonly choose: (device: string, control: string, trigger: Trigger, layers?: readonly string[]) => Choice;
  readonly bound: (
    device: string,
    control: string,
    trigger: Trigger,
    layers?: readonly string[],
  ) => Choice | null;
  readonly controlOf: (device: string, control: string) => Control | null;
  readonly settingsOf: (device: string) => DeviceSettings | null;
}
