import type { Trigger } from '../devices/index.ts';
import type { FrontWindow } from '../resolve/index.ts';
import { BASE_LAYER, type Binding, EVERYWHERE } from '../setup/index.ts';

/** What a control put down and has not yet let go, in the order in which it went down. */
export interface Held {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  readonly since: number;
  /** The binding that decided at down; null for native. */
  readonly decided: { readonly profile: string; readonly layer: string; readonly binding: Binding } | null;
  readonly codes: readonly string[];
  readonly buttons: readonly number[];
  /** Ended early (another program came to the front): the control comes up in silence. */
  readonly silent: boolean;
}

/** Everything the engine remembers between events: plain data, never changed in place. */
export interface EngineState {
  /** The newest time known, in milliseconds. */
  readonly now: number;
  /** How many events were taken. */
  readonly seq: number;
  readonly front: FrontWindow | null;
  readonly pinned: string | null;
  readonly profile: string;
  /** Active layers from the top down, the base layer last. */
  readonly layers: readonly string[];
  /** How many held things keep each key down; a key at rest has no entry. */
  readonly keys: Readonly<Record<string, number>>;
  /** The same for pointer buttons. */
  readonly buttons: Readonly<Record<number, number>>;
  /** Controls that are down, by `device/control`, oldest first. */
  readonly held: Readonly<Record<string, Held>>;
  /** Degrees turned since the last step, signed, by `device/control`; none where it is 0. */
  readonly turned: Readonly<Record<string, number>>;
}

export const INITIAL_STATE: EngineState = {
  now: 0,
  seq: 0,
  front: null,
  pinned: null,
  profile: EVERYWHERE,
  layers: [BASE_LAYER],
  keys: {},
  buttons: {},
  held: {},
  turned: {},
};
