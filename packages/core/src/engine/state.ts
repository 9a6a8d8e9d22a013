import type { Trigger } from '../devices/index.ts';
import type { FrontWindow, Resolution } from '../resolve/index.ts';
import { BASE_LAYER, type Binding, EVERYWHERE, type Repeat } from '../setup/index.ts';
import type { Sendable } from './effect.ts';

/** Where a binding that decided was found. */
export interface Decided {
  readonly profile: string;
  readonly layer: string;
  readonly binding: Binding;
}

/** A control and the trigger it was used by, with the binding that decided; null for native. */
export interface Using {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  readonly decided: Decided | null;
}

/** What is down because of something: keys by code and pointer buttons, in the order in which they went down. */
export interface Output {
  readonly codes: readonly string[];
  readonly buttons: readonly number[];
}

/** A control that is down and decided, with what it put down and has not yet let go. */
export interface Held extends Using, Output {
  readonly since: number;
  /** Ended early (another program came to the front): the control comes up in silence. */
  readonly silent: boolean;
  /** It was turned while it was down, so that it is no press when it comes up. */
  readonly turned: boolean;
  /** What is sent again while it is held, or once when it comes up. */
  readonly later: { readonly when: 'repeat' | 'release'; readonly effect: Sendable } | null;
}

/** What stays down until its control is pressed again. */
export interface Latched extends Using, Output {}

/** What a trigger would do, as it was when its control went down. */
export interface Choice {
  readonly resolution: Resolution;
  readonly effect: Sendable | null;
}

/** A press that is not decided yet: it may become a hold, or the first half of a double press. */
export interface Waiting {
  readonly device: string;
  readonly control: string;
  readonly since: number;
  /** Whether the control is still down; if not, a second press is waited for. */
  readonly down: boolean;
  /** What each way of going on would do; null where it is not bound. */
  readonly press: Choice;
  readonly hold: Choice | null;
  readonly double: Choice | null;
  /** Whether a turn while it is down would be a use of its own. */
  readonly turns: boolean;
  /** The event that put the control down. */
  readonly cause: number;
}

/** Something that falls due for a control. */
export interface Timer {
  readonly at: number;
  readonly what: 'hold' | 'press' | 'repeat';
  readonly device: string;
  readonly control: string;
  /** For a repeat: when it falls due again. */
  readonly repeat: Repeat | null;
  /** The event it comes from. */
  readonly cause: number;
}

/** A turn that may go on. */
export interface Turned {
  /** Degrees since the last step, signed. */
  readonly rest: number;
  /** When it was turned last. */
  readonly at: number;
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
  /** Controls that are down and decided, by `device/control`, oldest first. */
  readonly held: Readonly<Record<string, Held>>;
  /** By `device/control/trigger`. */
  readonly latched: Readonly<Record<string, Latched>>;
  /** Presses not decided yet, by `device/control`. */
  readonly waiting: Readonly<Record<string, Waiting>>;
  /** What falls due, in the order in which it was set. */
  readonly timers: readonly Timer[];
  /** By `device/control`: what was turned last. */
  readonly turned: Readonly<Record<string, Turned>>;
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
  latched: {},
  waiting: {},
  timers: [],
  turned: {},
};
