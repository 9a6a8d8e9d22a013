import type { Trigger } from '../devices/index.ts';
import type { FrontWindow, Resolution } from '../resolve/index.ts';
import { BASE_LAYER, EVERYWHERE, type Message } from '../setup/index.ts';
import type { CompiledMacro } from './compileMacro.ts';
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
  /** The folder that covered it, where nothing decided for that. */
  readonly covered: Resolution['covered'];
  /** The layers and pages it was looked up in; what comes on later does not count. */
  readonly layers: readonly string[];
}

/** What a trigger would do, as it was when its control went down. */
export interface ResolvedUse {
  readonly using: Using;
  /** Every place that was looked at, for the explanation. */
  readonly resolution: Resolution;
  /** Null where nothing is sent. */
  readonly sending: Sending | null;
}

/** Where a stroke goes, decided when what it belongs to began. */
export interface Destination {
  /** The device whose use is behind it. */
  readonly device: string;
  /** The program that gets it; null is the one in front. */
  readonly program: string | null;
  /** The computer the device talks to, by name; null is this one. */
  readonly computer: string | null;
}

/** One thing that was put down or turned on and has not been let go yet. */
export type Hold =
  | { readonly kind: 'key'; readonly to: Destination; readonly code: string }
  | { readonly kind: 'button'; readonly to: Destination; readonly button: number }
  | { readonly kind: 'message'; readonly to: Destination; readonly message: Message }
  | { readonly kind: 'layer'; readonly layer: string }
  | {
      /** What the controls of a device (null: of all) do is shown. */
      readonly kind: 'show';
      readonly device: string | null;
    }
  | { readonly kind: 'speed' | 'wheel-mode'; readonly device: string; readonly serial: number }
  | {
      /** One run of a macro: a later run of the same macro is not this hold's to end. */
      readonly kind: 'macro';
      readonly macro: string;
      readonly serial: number;
    };

/** What a macro itself may hold. */
export type PlainHold = Exclude<Hold, { kind: 'macro' }>;

/** Something a macro holds. */
export interface MacroHold {
  /** The block it is held round: the place of the act that began that; null for what a step put down by itself. */
  readonly block: number | null;
  readonly hold: PlainHold;
}

/**
 * Turns of a control while it is down, as they stood when it went down; a direction not bound then has no entry. One
 * that was ended early sends nothing more.
 */
export type PressedTurns = Readonly<Partial<Record<PressedTurn, ResolvedUse | 'ended'>>>;
/** A turn of a control that is down. */
export type PressedTurn = Extract<Trigger, 'pressed-clockwise' | 'pressed-anticlockwise'>;

/** A control that is down and decided, with what it put down and has not yet let go. */
export interface Held {
  readonly using: Using;
  /** What is down because of it. */
  readonly holds: readonly Hold[];
  /** Which of all outputs it was to begin: later ones have higher numbers. */
  readonly serial: number;
  /** When it went down: milliseconds. */
  readonly since: number;
  /** Ended early (another program came to the front): the control comes up in silence. */
  readonly silent: boolean;
  /** It was turned while it was down, so that it is no press when it comes up. */
  readonly turned: boolean;
  /** What turning it while it is pressed does, as it stood when it went down. */
  readonly turns: PressedTurns;
  /** What is sent again while it is held, or once when it comes up. */
  readonly later: { readonly when: 'repeat' | 'release'; readonly sending: Sending } | null;
  /** What a longer press would start. */
  readonly guarded: ResolvedUse | null;
}

/** What stays down until its control is pressed again. */
export interface Latched {
  readonly using: Using;
  /** What stays down. */
  readonly holds: readonly Hold[];
  /** Counts what was begun, so that endings come newest first. */
  readonly serial: number;
}

/** A press that is not decided yet: it may become a hold, a nudge, or the first half of a double press. */
export interface Waiting {
  /** When it went down: milliseconds. */
  readonly since: number;
  /** Whether the control is still down; if not, a second press is waited for. */
  readonly down: boolean;
  /** How long it was down, once it is up. */
  readonly heldFor: number;
  /** What each way of going on would do; null where it is not bound. */
  readonly press: ResolvedUse;
  /** What it becomes when it is held on; null where hold is not bound. */
  readonly hold: ResolvedUse | null;
  /** What a second press becomes. */
  readonly double: ResolvedUse | null;
  /** By direction; null where none is bound. */
  readonly nudges: Readonly<Partial<Record<Trigger, ResolvedUse>>> | null;
  readonly turns: PressedTurns;
  /** How far the pointer moved since it went down: pixels. */
  readonly dx: number;
  /** How far it was moved since: pixels. */
  readonly dy: number;
}

/** A spring ring away from its rest. */
export interface SpringState {
  /** Null for one that was away when everything was let go. */
  readonly use: ResolvedUse | null;
  /** Signed. */
  readonly position: number;
  /** When it stepped last. */
  readonly stepped: number;
  /** Ended early: it does nothing until it is back at rest. */
  readonly silent: boolean;
}

/** Who asked for a run of a macro. */
export interface MacroCall {
  /** Whose press asked for it. */
  readonly owner: Using;
  /** Where its strokes go, decided with the press. */
  readonly to: Destination;
  /** The event that asked. */
  readonly cause: number;
}

/** A macro that runs. */
export interface Running extends MacroCall {
  readonly macro: string;
  /** The macro as it was when this began, and as it ends, whatever is edited meanwhile. */
  readonly as: CompiledMacro;
  /** Counts what was begun, so that endings come newest first. */
  readonly serial: number;
  /** When this round began. */
  readonly round: number;
  /** Rounds still to go after this one; null for one without end. */
  readonly left: number | null;
  /** When the act before the next one was due, or what was waited for came: times add up from it. */
  readonly at: number;
  /** When it sent something last; null for not yet. */
  readonly sent: number | null;
  /** The next act of the round. */
  readonly next: number;
  /** Since when the next act waits, an `until` for its window, an `ask` for an answer; null where nothing is waited for. */
  readonly waitsSince: number | null;
  /** What was answered last. */
  readonly answers: readonly string[];
  /** The profile of the window it waited for last: it belongs to that. Null while it belongs to what started it. */
  readonly belongsTo: string | null;
  /** What it holds at the moment. */
  readonly holds: readonly MacroHold[];
  /** Presses that asked for it meanwhile, each a run. */
  readonly queue: readonly MacroCall[];
}

/** What a menu that is open is made of. One whose items are others meanwhile closes, and does nothing it does not show. */
export type MenuOf =
  | {
      /** A radial menu of the set-up, with the fingerprint of what its items did. */
      readonly kind: 'menu';
      readonly menu: string;
      readonly fingerprint: string;
    }
  | {
      /** The sets a device can have; null for its own. */
      readonly kind: 'sets';
      readonly device: string;
      readonly sets: readonly (string | null)[];
    };

/** A radial menu that is open, and where the pointer is from where it opened: pixels. */
export interface OpenMenu {
  readonly of: MenuOf;
  readonly owner: Using;
  /** Who gets what is chosen, and whether that program is brought to the front first. */
  readonly program: string | null;
  /** Whether the target is brought to the front first. */
  readonly focus: boolean;
  /** How far the pointer is from where it opened: pixels. */
  readonly dx: number;
  readonly dy: number;
  /** From 0, clockwise from the top; null in the middle. */
  readonly highlighted: number | null;
}

/** A pointer speed or wheel mode that counts while something is held. */
export interface ModeHold {
  /** Counts what was begun: the newest still held decides. */
  readonly serial: number;
  /** Its place in the device's list. */
  readonly at: number;
}

/** By device: what counts while something is held, the newest last, and what is back after all of them. */
export type ModeHolds = ByKey<{ readonly base: number; readonly held: readonly ModeHold[] }>;

/** Something that falls due. */
export interface Deadline {
  /** Milliseconds, of the same clock as events. */
  readonly at: number;
  readonly what: 'hold' | 'press' | 'repeat' | 'guard' | 'confirm' | 'shuttle' | 'macro';
  /** What it belongs to: a control's key, a slot's, a macro's id. */
  readonly key: string;
  /** The event it comes from. */
  readonly cause: number;
}

/** A turn that may go on. */
export interface Turned {
  /** Which use the remainder belongs to, by `useKey`: another use does not complete its step. */
  readonly use: string;
  /** Degrees since the last step, signed. */
  readonly remainder: number;
  /** When it was turned last. */
  readonly at: number;
}

/** A record by key, and not a map: the state must be plain JSON. */
type ByKey<Value> = Readonly<Record<string, Value>>;

/** What is in front at another computer, and what that decides for the devices that talk to it. */
export interface Elsewhere {
  readonly front: FrontWindow | null;
  readonly frontProgram: string | null;
  readonly profile: string;
}

/**
 * Everything the engine remembers between events: plain JSON, never changed in place. What is compiled stands in it
 * by its id, so that a state can be stored, sent, and go on after an edit.
 */
export interface EngineState {
  /** The newest time known, in milliseconds. */
  readonly now: number;
  /** How many events were taken. */
  readonly seq: number;
  /** How many outputs began: a number for each, so that the newest can be ended first. */
  readonly serial: number;
  /** Null where nothing is in front, as on a bare desk. */
  readonly front: FrontWindow | null;
  /** The program that window belongs to, whatever profile is pinned. */
  readonly frontProgram: string | null;
  /** The profile that stays whatever is in front; null when it follows. */
  readonly pinned: string | null;
  /** The profile that decides now for devices that talk to this computer. */
  readonly profile: string;
  /** What is in front at other computers, by their names; one that nothing was heard of has no entry. */
  readonly elsewhere: ByKey<Elsewhere>;
  /** Active layers from the top down, the base layer last. */
  readonly layers: readonly string[];
  /** How many things keep each layer on. */
  readonly layerHolds: ByKey<number>;
  /** Layers that are on for the next press only. */
  readonly once: readonly { readonly layer: string; readonly owner: Using }[];
  /** By device: the folders open on it, the one on top last. One without any has no entry. */
  readonly folders: ByKey<readonly string[]>;
  /** By device, then the program that was in front: the set chosen last, null for the device's own. */
  readonly sets: ByKey<ByKey<string | null>>;
  /** By device: the pointer speed's place in its list, and the computer's; the first where there is no entry. */
  readonly speeds: ByKey<number>;
  readonly speedHolds: ModeHolds;
  /** By device: the wheels' place in `WHEEL_MODES`; as the settings have it where there is no entry. */
  readonly wheelModes: ByKey<number>;
  readonly wheelModeHolds: ModeHolds;
  /** By device: which of its computers it talks to, from 0. */
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
  readonly confirmations: ByKey<Using>;
  /** What falls due, in the order in which it was set. */
  readonly deadlines: readonly Deadline[];
  /** By `device/control`: what was turned last, springs away from rest, sliders' last values. */
  readonly turned: ByKey<Turned>;
  readonly springs: ByKey<SpringState>;
  /** By control: 0 to 1. */
  readonly sliderValues: ByKey<number>;
  /** By macro. */
  readonly running: ByKey<Running>;
  /** At most one is open. */
  readonly radial: OpenMenu | null;
}

/** Before the first event: nothing in front, nothing held, Everywhere applies. */
export const INITIAL_STATE: EngineState = {
  now: 0,
  seq: 0,
  serial: 0,
  front: null,
  frontProgram: null,
  pinned: null,
  profile: EVERYWHERE,
  elsewhere: {},
  layers: [BASE_LAYER],
  layerHolds: {},
  once: [],
  folders: {},
  sets: {},
  speeds: {},
  speedHolds: {},
  wheelModes: {},
  wheelModeHolds: {},
  computers: {},
  down: {},
  held: {},
  latched: {},
  waiting: {},
  confirmations: {},
  deadlines: [],
  turned: {},
  springs: {},
  sliderValues: {},
  running: {},
  radial: null,
};

/** The key of a use: its control and trigger, and where what decided was found. */
export function useKey({ key, trigger, decided }: Pick<Using, 'key' | 'trigger' | 'decided'>): string {
  return `${decided?.profile ?? ''}/${decided?.layer ?? ''}/${key}/${trigger}`;
}
