import type { Trigger } from '../devices/index.ts';
import type { FrontWindow, Resolution } from '../resolve/index.ts';
import { BASE_LAYER, EVERYWHERE, type Message } from '../setup/index.ts';
import type { CompiledMacro } from './compileMacro.ts';
import type { CompiledMenu } from './compileMenu.ts';
import type { Sending } from './effect.ts';

/** A control and the trigger it was used by, with what decided and the layers it was looked up in. */
export interface Using {
  /** `device/control`. */
  readonly key: string;
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  /** Null for native. */
  readonly decided: Resolution['decided'];
  readonly layers: readonly string[];
}

/** What a trigger would do, as it was when its control went down. */
export interface Choice {
  readonly using: Using;
  readonly resolution: Resolution;
  /** Null where nothing is sent. */
  readonly sending: Sending | null;
}

/** One thing that was put down or turned on and has not been let go yet. */
export type Hold =
  | { readonly kind: 'key'; readonly program: string | null; readonly code: string }
  | { readonly kind: 'button'; readonly program: string | null; readonly button: number }
  | { readonly kind: 'message'; readonly program: string | null; readonly message: Message }
  | { readonly kind: 'layer'; readonly layer: string }
  | { readonly kind: 'speed'; readonly device: string; readonly back: number }
  | { readonly kind: 'macro'; readonly macro: string };

/** What a macro itself may hold. */
export type PlainHold = Exclude<Hold, { kind: 'macro' }>;

/** A control that is down and decided, with what it put down and has not yet let go. */
export interface Held {
  readonly using: Using;
  readonly holds: readonly Hold[];
  readonly since: number;
  /** Ended early (another program came to the front): the control comes up in silence. */
  readonly silent: boolean;
  /** It was turned while it was down, so that it is no press when it comes up. */
  readonly turned: boolean;
  /** What is sent again while it is held, or once when it comes up. */
  readonly later: { readonly when: 'repeat' | 'release'; readonly sending: Sending } | null;
  /** What a longer press would start. */
  readonly guarded: Choice | null;
}

/** What stays down until its control is pressed again. */
export interface Latched {
  readonly using: Using;
  readonly holds: readonly Hold[];
}

/** A press that is not decided yet: it may become a hold, a nudge, or the first half of a double press. */
export interface Waiting {
  readonly since: number;
  /** Whether the control is still down; if not, a second press is waited for. */
  readonly down: boolean;
  /** How long it was down, once it is up. */
  readonly heldFor: number;
  /** What each way of going on would do; null where it is not bound. */
  readonly press: Choice;
  readonly hold: Choice | null;
  readonly double: Choice | null;
  readonly nudges: Readonly<Partial<Record<Trigger, Choice>>> | null;
  /** Whether a turn while it is down would be a use of its own. */
  readonly turns: boolean;
  /** How far the pointer moved since it went down: pixels. */
  readonly dx: number;
  readonly dy: number;
}

/** A spring ring away from its rest. */
export interface Sprung {
  readonly choice: Choice;
  /** Signed. */
  readonly position: number;
  /** When it stepped last. */
  readonly stepped: number;
  /** Ended early: it does nothing until it is back at rest. */
  readonly silent: boolean;
}

/** A macro that runs. */
export interface Running {
  readonly macro: CompiledMacro;
  readonly owner: Using;
  /** Who gets what it sends; null is the program in front. */
  readonly program: string | null;
  /** When this round began. */
  readonly round: number;
  /** Rounds still to go after this one. */
  readonly left: number;
  /** The next step of the round. */
  readonly next: number;
  readonly holds: readonly PlainHold[];
  /** How often it is to be run again. */
  readonly queued: number;
  readonly cause: number;
}

/** A radial menu that is open, and where the pointer is from where it opened: pixels. */
export interface OpenMenu {
  readonly menu: CompiledMenu;
  readonly owner: Using;
  readonly dx: number;
  readonly dy: number;
  readonly highlighted: number | null;
}

/** Something that falls due. */
export interface Timer {
  readonly at: number;
  readonly what: 'hold' | 'press' | 'repeat' | 'guard' | 'confirm' | 'shuttle' | 'macro';
  /** What it belongs to: a control's key, a slot's, a macro's id. */
  readonly key: string;
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

type ByKey<Value> = Readonly<Record<string, Value>>;

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
  /** How many things keep each layer on. */
  readonly layerHolds: ByKey<number>;
  /** Layers that are on for the next press only. */
  readonly once: readonly { readonly layer: string; readonly owner: Using }[];
  /** By device: the pages open on it, the one that shows last. */
  readonly pages: ByKey<readonly { readonly page: string; readonly owner: Using }[]>;
  /** By device: the pointer speed's place in its list, and the computer's; the first where there is no entry. */
  readonly speeds: ByKey<number>;
  readonly computers: ByKey<number>;
  /** How many held things keep each key and button down, by `ledgerKey`; one at rest has no entry. */
  readonly down: ByKey<number>;
  /** Controls that are down and decided, by `device/control`, oldest first. */
  readonly held: ByKey<Held>;
  /** By `useKey`. */
  readonly latched: ByKey<Latched>;
  /** Presses not decided yet, by `device/control`. */
  readonly waiting: ByKey<Waiting>;
  /** Guarded presses that ask for a second one, by `useKey`. */
  readonly asking: ByKey<Using>;
  /** What falls due, in the order in which it was set. */
  readonly timers: readonly Timer[];
  /** By `device/control`: what was turned last, springs away from rest, sliders' last values. */
  readonly turned: ByKey<Turned>;
  readonly sprung: ByKey<Sprung>;
  readonly slid: ByKey<number>;
  /** By macro. */
  readonly running: ByKey<Running>;
  readonly radial: OpenMenu | null;
}

export const INITIAL_STATE: EngineState = {
  now: 0,
  seq: 0,
  front: null,
  pinned: null,
  profile: EVERYWHERE,
  layers: [BASE_LAYER],
  layerHolds: {},
  once: [],
  pages: {},
  speeds: {},
  computers: {},
  down: {},
  held: {},
  latched: {},
  waiting: {},
  asking: {},
  timers: [],
  turned: {},
  sprung: {},
  slid: {},
  running: {},
  radial: null,
};

/** The key of a use: its control and trigger, and where what decided was found. */
export function useKey({ key, trigger, decided }: Using): string {
  return `${decided?.profile ?? ''}/${decided?.layer ?? ''}/${key}/${trigger}`;
}
