import type { FrontWindow } from '../resolve/index.ts';

/** Where a pointer was in the window in front: pixels from its top left corner, with how large it is. */
export interface PointerAt {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** What is there, as the desk calls it; null where it does not know. */
  readonly name: string | null;
}

/** Something a person did at a desk, or that came of it. */
export type DeedBody =
  | {
      readonly kind: 'key-down';
      /** W3C `KeyboardEvent.code`. */
      readonly code: string;
      /** The character it types, where what has the keys takes text; null where it is read as a shortcut. */
      readonly text: string | null;
    }
  | { readonly kind: 'key-up'; readonly code: string }
  | {
      /** Text that came as such: pasted, or from an input method. */
      readonly kind: 'text';
      readonly text: string;
    }
  | {
      readonly kind: 'button-down' | 'button-up';
      /** W3C `MouseEvent.button`. */
      readonly button: number;
      /** Null where it is over no window. */
      readonly at: PointerAt | null;
    }
  | {
      readonly kind: 'wheel';
      /** Positive away from the person, or to the right. */
      readonly ticks: number;
      readonly axis: 'vertical' | 'horizontal';
    }
  | {
      readonly kind: 'menu-item';
      /** Its words, from the menu down. */
      readonly path: readonly string[];
    }
  | {
      /** Another window is in front. */
      readonly kind: 'front';
      readonly window: FrontWindow | null;
      /** The program it belongs to, where that is known. */
      readonly program: string | null;
      /** Whether the person brought it there, and not a program that opened or closed a window. */
      readonly byHand: boolean;
    };

/** A deed with its time: milliseconds, never going back. */
export type Deed = { readonly t: number } & DeedBody;
