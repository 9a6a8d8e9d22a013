import type { Legends, Platform } from '@nimble-lever/core/keys';
import { createContext } from 'react';

/** How keycaps are written: in the words of the person's platform, with the labels of their keyboard. */
export interface Keyboard {
  readonly platform: Platform;
  /** Null until the layout is read; then United States labels show. */
  readonly legends: Legends | null;
}

/** The keyboard of whoever sits here. */
export const KeyboardContext = createContext<Keyboard>({ platform: 'linux', legends: null });
