import { formatShortcut, type Platform } from '@nimble-lever/core/keys';
import { type KeysBy, type Layout, meaningOf } from '@nimble-lever/core/keys/layouts';
import { windowCommandOf } from './windowShortcuts.ts';
import type { WindowCommand } from './windows.ts';

/** A key that is down, with what it types and what is held. */
export type Pressed = Parameters<typeof meaningOf>[0];

/** The shortcut that a program reads from a key: by characters of the person's layout, or by places. */
export function readAs(pressed: Pressed, layout: Layout, keysBy: KeysBy): string {
  return formatShortcut(meaningOf(pressed, layout, keysBy));
}

/** What the desk itself does on a key, whichever program is in front; null where it is a program's to read. */
export function deskCommandOf(pressed: Pressed, layout: Layout, platform: Platform): WindowCommand | null {
  return windowCommandOf(readAs(pressed, layout, 'character'), platform);
}
