import { ok, type Result } from '../../result.ts';
import { parseShortcut, type ShortcutProblem } from '../parseShortcut.ts';
import type { Shortcut } from '../shortcut.ts';
import { type Layout, pressFor } from './layout.ts';

/** A shortcut given by character, found on the person's keyboard. */
export interface Reached {
  readonly shortcut: Shortcut;
  /**
   * `typed`: those keys type it. `with-altgr`: it needs AltGr besides other modifiers, which many programs do not
   * understand. `by-position`: the keyboard does not type the character by one key; the key that has its place on
   * a United States keyboard is taken.
   */
  readonly how: 'typed' | 'with-altgr' | 'by-position';
}

/**
 * Reads a shortcut whose key is named by what it types (`Ctrl+[`) for a keyboard layout: the person's own keys.
 * Keys that type nothing (F5, arrows) are where they are on every keyboard.
 */
export function reachShortcut(text: string, layout: Layout): Result<Reached, ShortcutProblem> {
  const parsed = parseShortcut(text, (character) => pressFor(layout, character));
  if (!parsed.ok) return parsed;
  const shortcut = parsed.value;
  const character = writtenCharacter(text);
  const typed = character === null || pressFor(layout, character) !== null;
  const others = shortcut.ctrl || shortcut.alt || shortcut.meta;
  if (typed) return ok({ shortcut, how: shortcut.altGr && others ? 'with-altgr' : 'typed' });
  return ok({ shortcut, how: 'by-position' });
}

/** The character a shortcut's text names its key by, or null where it names the key itself. */
function writtenCharacter(text: string): string | null {
  const last = /(?:^|[+\s-])(\S)$/u.exec(text.trim())?.[1];
  return last?.toLowerCase() ?? null;
}
