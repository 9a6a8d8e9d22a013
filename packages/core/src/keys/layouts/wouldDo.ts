import { KEY_BY_CODE, KEY_TABLE } from '../keyTable.ts';
import type { Shortcut } from '../shortcut.ts';
import { deadMark, type Layout, pressFor } from './layout.ts';

/** A shortcut to use instead of one that cannot be pressed well on a keyboard. */
export interface WouldDo {
  readonly shortcut: Shortcut;
  /** Whether it does for programs that go by the character, or for those that go by the key's place. */
  readonly goesBy: 'character' | 'place';
}

/** What the keys of other countries type at home (`jp` of xkb-data). */
const TYPED_AT_HOME: Readonly<Record<string, string>> = { IntlRo: '\\', IntlYen: '\\' };

/** Whether a layout's keyboard has a key: those of other countries are not on every one. */
export function hasKey(layout: Layout, code: string): boolean {
  return KEY_BY_CODE.get(code)?.kind !== 'writing' || layout.keys[code] !== undefined;
}

/** The character that a shortcut reaches by AltGr besides Ctrl, Alt or Meta, or null. */
export function byAltGr({ ctrl, alt, meta, altGr, shift, code }: Shortcut, layout: Layout): string | null {
  if (!altGr || !(ctrl || alt || meta) || code === null) return null;
  const character = layout.keys[code]?.[shift ? 3 : 2] ?? '';
  return character === '' || deadMark(character) ? null : character;
}

/** Shortcuts that would do on this keyboard; none where the shortcut itself can be pressed and heard. */
export function wouldDo(shortcut: Shortcut, layout: Layout): readonly WouldDo[] {
  const { code } = shortcut;
  if (code !== null && !hasKey(layout, code)) {
    const press = pressFor(layout, TYPED_AT_HOME[code] ?? '');
    if (!press || press.altGr) return [];
    const shift = shortcut.shift || press.shift;
    return [{ shortcut: { ...shortcut, shift, code: press.code }, goesBy: 'character' }];
  }
  const character = byAltGr(shortcut, layout)?.toUpperCase();
  const place = KEY_TABLE.find(({ kind, legend }) => kind === 'writing' && legend === character);
  if (!place || !hasKey(layout, place.code)) return [];
  return [{ shortcut: { ...shortcut, altGr: false, code: place.code }, goesBy: 'place' }];
}
