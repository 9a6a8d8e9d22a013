import type { Keyboards } from '../../engine/index.ts';
import { KEY_TABLE, MODIFIERS, parseShortcut } from '../../keys/index.ts';
import type { Layout } from '../../keys/layouts/index.ts';
import type { Command, Program } from '../../setup/index.ts';

/** A shortcut with what its command says of it. */
export type Keyed = { readonly kind: 'shortcut'; readonly shortcut: string } & Partial<
  Pick<Command, 'keysBy' | 'onLayout'>
>;

/** What a dead key counts as, for those of the small keyboards. */
const MARKS: Readonly<Record<string, string>> = { '◌\u0301': '´', '◌\u0300': '`' };

/** The keys that a program reads a shortcut by, step by step; null where one cannot be typed. */
export function slowKeys(
  { shortcut, keysBy, onLayout = {} }: Keyed,
  keyboards: Keyboards,
  computer: string | null,
  program: Program | undefined,
): readonly (readonly string[])[] | null {
  const layout = (computer !== null && keyboards.elsewhere.get(computer)) || keyboards.here;
  const reads = keysBy ?? program?.keysBy ?? 'character';
  const steps = (onLayout[layout.id] ?? shortcut).split(', ').filter(Boolean);
  const chords = steps.map((text) => chordOf(text, layout, reads === 'place'));
  return chords.every((chord) => chord !== null) ? chords : null;
}

/** Every key is tried on every level, in the order in which people would. */
function chordOf(text: string, layout: Layout, byPlace: boolean): readonly string[] | null {
  const parsed = parseShortcut(text);
  if (!parsed.ok) return [];
  const { key, ...on } = parsed.value;
  const chord = (code: string, shift: boolean, altGr: boolean) => [
    ...MODIFIERS.filter(
      ({ name }) => on[name] || (name === 'shift' && shift) || (name === 'altGr' && altGr),
    ).map((modifier) => modifier.code),
    code,
  ];
  if (key === null) return chord('', false, false).slice(0, -1);
  if (key.kind !== 'character') return chord(key.code, false, false);
  const writing = KEY_TABLE.filter(({ kind }) => kind === 'writing');
  const { character } = key;
  const there = writing.find(({ plain, shifted }) => [plain, shifted].includes(character));
  const atPlace = there && chord(there.code, there.plain !== character, false);
  if (byPlace) return atPlace ?? null;
  if (/^[0-9]$/.test(character)) return chord(`Digit${character}`, false, false);
  const latin = layout.keys.KeyA?.[0] === 'a';
  if (!latin && atPlace) return atPlace;
  for (const wanted of [character, character.toUpperCase()]) {
    for (let level = 0; level < 4; level++) {
      const typed = (code: string) => layout.keys[code]?.[level] ?? '';
      const found = writing.find(({ code }) => (MARKS[typed(code)] ?? typed(code)) === wanted);
      if (found) return chord(found.code, level % 2 === 1, level > 1);
    }
  }
  return null;
}
