import type { NoKey } from '../keys/layouts/index.ts';
import type { FrontWindow, ProfileDecision, Resolution } from '../resolve/index.ts';
import type { Guard } from '../setup/index.ts';
import type { DeviceMode } from './deviceModes.ts';
import type { EngineEvent } from './event.ts';
import type { Hold, MenuOf } from './state.ts';
import type { Stroke } from './stroke.ts';

/** Something held that was let go although its control is still down. */
export interface Ended {
  readonly device: string;
  readonly control: string;
  /** What was let go of. */
  readonly holds: readonly Hold[];
}

/** What the engine itself changed. */
export type StateChange =
  | {
      readonly kind: 'profile';
      readonly from: string;
      readonly to: string;
      /** The computer whose devices it is for; null for this one. */
      readonly computer: string | null;
    }
  | { readonly kind: 'let-go'; readonly ended: readonly Ended[] }
  | { readonly kind: 'layer'; readonly layer: string; readonly on: boolean }
  | {
      /** What shows on a device: the folder on top, if one is open, and the set under it; null for the device's own. */
      readonly kind: 'page';
      readonly device: string;
      readonly folder: string | null;
      readonly set: string | null;
    }
  | {
      /** A page that was asked for and cannot show, or none where one was asked for. */
      readonly kind: 'no-page';
      readonly device: string;
      readonly page: string | null;
      readonly why: 'other-program' | 'none-open' | 'no-sets';
    }
  | { readonly kind: DeviceMode; readonly device: string; readonly at: number }
  | { readonly kind: 'macro'; readonly macro: string; readonly runs: boolean }
  | {
      /** A macro waited for a window: it was there, it came, or did not come in time. */
      readonly kind: 'until';
      readonly macro: string;
      readonly step: string;
      readonly how: 'there' | 'came' | 'late';
      /** How long it waited: milliseconds. */
      readonly waited: number;
    }
  | {
      /** A macro asks something, or nobody answered in time and it ends. */
      readonly kind: 'ask';
      readonly macro: string;
      readonly step: string;
      readonly how: 'asks' | 'late';
    }
  | {
      /** What the controls of a device (null: of all) do is shown, or no longer. */
      readonly kind: 'show';
      readonly device: string | null;
      readonly shows: boolean;
    }
  | {
      /** A shortcut was to be sent that the keyboard of who receives it cannot type: nothing of it was. */
      readonly kind: 'no-key';
      /** In our notation, all its steps. */
      readonly shortcut: string;
      readonly missing: NoKey;
      /** What the keyboard is called. */
      readonly layout: string;
    }
  | {
      /** An intent that the program that was to get it has no command for. Null where none is in front. */
      readonly kind: 'no-intent';
      readonly intent: string;
      readonly program: string | null;
    }
  | { readonly kind: 'radial-open'; readonly of: MenuOf }
  | { readonly kind: 'radial-highlight'; readonly of: MenuOf; readonly item: number | null }
  | {
      /** Closed, with the item that was chosen, if any. */
      readonly kind: 'radial-closed';
      readonly of: MenuOf;
      readonly item: number | null;
    }
  | {
      /** A guarded press asks, or its asking ran out. */
      readonly kind: 'guard';
      readonly device: string;
      readonly control: string;
      readonly how: Guard;
      readonly asks: boolean;
    };

/** What the engine made of an event. */
export type Outcome =
  | { readonly kind: 'pressed'; readonly resolution: Resolution }
  | {
      /** Not decided yet: it may become a hold, a double press, a nudge, or a turn while pressed. */
      readonly kind: 'waiting';
      readonly resolution: Resolution;
      readonly hold: boolean;
      readonly double: boolean;
      readonly nudges: boolean;
      readonly turns: boolean;
    }
  | {
      /** A guarded press asks for more (`asks`), or was not held long enough. */
      readonly kind: 'guarded';
      readonly how: Guard;
      readonly asks: boolean;
      readonly resolution: Resolution;
    }
  | { readonly kind: 'repeated' }
  | {
      /** More fell due at once than may; what would have gone on was ended. */
      readonly kind: 'too-many';
      readonly ended: readonly Ended[];
    }
  | {
      readonly kind: 'released';
      /** The output had ended before, so nothing was sent. */
      readonly silent: boolean;
      /** It was turned meanwhile, so that it was no press. */
      readonly turned: boolean;
      readonly heldFor: number;
    }
  | {
      readonly kind: 'turned';
      /** Steps sent, not signed. */
      readonly steps: number;
      /** Degrees kept for the next step, signed. */
      readonly remainder: number;
      readonly stepDegrees: number;
      /** How many times each step counts for the speed of the turn; 1 without speed-up. */
      readonly factor: number;
      /** Ended before, so that nothing was sent. */
      readonly silent: boolean;
      readonly resolution: Resolution;
    }
  | {
      readonly kind: 'spring';
      readonly position: number;
      /** Steps per second; 0 at rest. */
      readonly rate: number;
      /** Null at rest. */
      readonly resolution: Resolution | null;
    }
  | {
      readonly kind: 'slid';
      readonly value: number;
      /** Thresholds crossed, not signed. */
      readonly steps: number;
      /** What decided for its value; null where nothing is set. */
      readonly resolution: Resolution | null;
      /** What decided for its steps; null where it crossed none. */
      readonly stepped: Resolution | null;
    }
  | { readonly kind: 'moved'; readonly nudged: readonly Resolution[] }
  | {
      /** The press chose an item of the open menu, or (`item` null) closed it. */
      readonly kind: 'menu';
      readonly of: MenuOf;
      readonly item: number | null;
    }
  | {
      /** A turn went round the open menu of the device's sets. */
      readonly kind: 'menu-turned';
      /** Steps gone, not signed. */
      readonly steps: number;
      /** Degrees kept for the next step, signed. */
      readonly remainder: number;
      readonly stepDegrees: number;
    }
  | {
      /** A macro went on; the step is the last that sent something, null where none did. */
      readonly kind: 'macro';
      readonly macro: string;
      readonly step: string | null;
    }
  | {
      /** What a macro asked was answered; null where nobody wanted to, so that it ended. */
      readonly kind: 'answered';
      readonly macro: string;
      readonly texts: readonly string[] | null;
    }
  | {
      readonly kind: 'profile-decided';
      readonly window: FrontWindow | null;
      readonly decision: ProfileDecision;
      readonly ended: readonly Ended[];
    }
  | { readonly kind: 'let-go'; readonly ended: readonly Ended[] }
  | { readonly kind: 'noted' }
  | {
      readonly kind: 'ignored';
      readonly why:
        | 'unknown-device'
        | 'unknown-control'
        | 'already-down'
        | 'not-down'
        | 'cannot-press'
        | 'cannot-turn'
        | 'no-positions'
        | 'not-shown'
        | 'not-asked'
        | 'unknown-phrase'
        | 'unknown-profile'
        | 'unknown-computer';
    };

/** Something the engine did by itself when its time came. */
export interface DueEvent {
  readonly kind: 'due';
  /** When it was due, which can be earlier than the event that brought it. */
  readonly t: number;
  readonly device: string;
  readonly control: string;
}

/** Why an event became what it became: the event, what decided, what was sent. */
export interface Explanation {
  /** The event's number; its strokes carry it as `cause`. */
  readonly seq: number;
  /** When it was taken, in milliseconds. */
  readonly t: number;
  /** What happened. */
  readonly event: EngineEvent | DueEvent;
  /** What the engine made of it. */
  readonly outcome: Outcome;
  /** What was sent for it, in order. */
  readonly strokes: readonly Stroke[];
  /** What it changed in the engine itself. */
  readonly changes: readonly StateChange[];
}
