import { UNITED_STATES } from '../character.ts';
import { KEY_BY_CODE } from '../keyTable.ts';
import { canonical, type Shortcut, unitedStatesCode } from '../shortcut.ts';
import type { Layout } from './layout.ts';

/** Whether a layout's keyboard has a key: those of other countries are not on every one. */
export function hasKey(layout: Layout, code: string): boolean {
  return KEY_BY_CODE.get(code)?.kind !== 'writing' || layout.keys[code] !== undefined;
}

/**
 * A shortcut by the place its character has on a United States keyboard, to take where a layout cannot type it well; null
 * where there is no such place or the keyboard lacks the key.
 */
export function byPlace(shortcut: Shortcut, layout: Layout): Shortcut | null {
  const whole = canonical(shortcut);
  if (whole.key?.kind !== 'character') return null;
  const code = unitedStatesCode(whole.key);
  if (code === null || !hasKey(layout, code)) return null;
  const shift = whole.shift || (UNITED_STATES.get(whole.key.character)?.shift ?? false);
  return { ...whole, shift, key: { kind: 'place', code } };
}
