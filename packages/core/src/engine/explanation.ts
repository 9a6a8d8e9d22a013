import type { FrontWindow, ProfileDecision, Resolution } from '../resolve/index.ts';
import type { EngineEvent } from './event.ts';
import type { Held } from './state.ts';
import type { StateChange, Stroke } from './stroke.ts';

/** Something held that was let go although its control is still down. */
export type Ended = Pick<Held, 'device' | 'control' | 'codes' | 'buttons'>;

/** What the engine made of an event. */
export type Outcome =
  | { readonly kind: 'pressed'; readonly resolution: Resolution }
  | {
      /** Not decided yet: it may become a hold, or a double press. */
      readonly kind: 'waiting';
      readonly resolution: Resolution;
      readonly hold: boolean;
      readonly double: boolean;
      /** A turn while it is down would be a use of its own. */
      readonly turns: boolean;
    }
  | { readonly kind: 'repeated' }
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
      readonly rest: number;
      readonly stepDegrees: number;
      /** How many times each step counts for the speed of the turn; 1 without speed-up. */
      readonly factor: number;
      readonly resolution: Resolution;
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
        | 'unknown-control'
        | 'already-down'
        | 'not-down'
        | 'cannot-press'
        | 'cannot-turn'
        | 'unknown-profile';
    };

/** Something the engine did by itself when its time came. */
export interface DueEvent {
  readonly kind: 'due';
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
  readonly event: EngineEvent | DueEvent;
  readonly outcome: Outcome;
  readonly strokes: readonly Stroke[];
  readonly changes: readonly StateChange[];
}
