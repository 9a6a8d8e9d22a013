import type { HeardChange, HeardInput } from '@nimble-lever/core/devices';

/** Something a browser heard of a real device, with what to call it. */
export interface Heard extends HeardInput {
  readonly name: string;
  readonly change: HeardChange;
}

/** Told of what was heard; says whether it was taken, so that the page itself shall not have it too. */
export type OnHeard = (heard: Heard) => boolean;
/** Ends listening. */
export type Stop = () => void;

/** A way in which a browser hears real devices. */
export interface InputSource {
  readonly id: 'mouse' | 'pen' | 'key' | 'gamepad' | 'midi' | 'hid';
  readonly name: string;
  /** Whether this browser has it. */
  readonly isThere: () => boolean;
  /** Whether the person must allow it first, by a press of a button. */
  readonly asks: boolean;
  /** Begins to listen; the answer ends it. Rejects with an error whose message can be shown. */
  readonly listen: (onHeard: OnHeard) => Promise<Stop>;
}

/** What a source adds listeners to: the page, or a part of it. */
export type Where = Window | HTMLElement;
