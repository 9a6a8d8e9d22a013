import type { Platform } from '@nimble-lever/core/keys';
import { WINDOW_COMMANDS, type WindowCommand } from './windows.ts';

/** On which shortcuts each platform does it, in our notation. Common practice, no source. */
export const WINDOW_SHORTCUTS: Readonly<Record<Platform, Readonly<Record<WindowCommand, string>>>> = {
  windows: {
    maximise: 'Meta+ArrowUp',
    minimise: 'Meta+ArrowDown',
    'left-half': 'Meta+ArrowLeft',
    'right-half': 'Meta+ArrowRight',
    'next-window': 'Alt+Tab',
    'all-windows': 'Meta+Tab',
    'show-desk': 'Meta+D',
    close: 'Alt+F4',
  },
  mac: {
    maximise: 'Ctrl+Meta+F',
    minimise: 'Meta+M',
    'left-half': 'Ctrl+Meta+ArrowLeft',
    'right-half': 'Ctrl+Meta+ArrowRight',
    'next-window': 'Meta+Tab',
    'all-windows': 'Ctrl+ArrowUp',
    'show-desk': 'F11',
    close: 'Meta+W',
  },
  linux: {
    maximise: 'Meta+ArrowUp',
    minimise: 'Meta+H',
    'left-half': 'Meta+ArrowLeft',
    'right-half': 'Meta+ArrowRight',
    'next-window': 'Alt+Tab',
    'all-windows': 'Meta+S',
    'show-desk': 'Meta+D',
    close: 'Alt+F4',
  },
};

/** The person's own platform first: where two mean different things by one shortcut, theirs counts. */
const ORDER: readonly Platform[] = ['windows', 'linux', 'mac'];

/**
 * What the desk does on a shortcut. It obeys every platform's, so that a set-up made on another computer can be
 * rehearsed here; null where it is the programs' to read.
 *
 * @param shortcut in our notation
 */
export function windowCommandOf(shortcut: string, platform: Platform): WindowCommand | null {
  for (const each of [platform, ...ORDER]) {
    const found = WINDOW_COMMANDS.find((command) => WINDOW_SHORTCUTS[each][command] === shortcut);
    if (found) return found;
  }
  return null;
}
