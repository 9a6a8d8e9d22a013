import type { Keyboards } from '../engine/index.ts';
import { KEY_TABLE } from '../keys/index.ts';
import { type Layout, type LayoutData, readLayout } from '../keys/layouts/index.ts';

/** A United States keyboard with some keys changed. */
const changed = (id: string, changes: LayoutData['keys']): Layout => {
  const keys = KEY_TABLE.flatMap(({ code, kind, plain = '', shifted = '' }) =>
    kind === 'writing' && plain !== '' ? [[code, [plain, shifted]] as [string, string[]]] : [],
  );
  return readLayout({ id, name: id, xkb: [id, ''], keys: { ...Object.fromEntries(keys), ...changes } });
};

/** Y and Z change places, brackets are behind AltGr, a dead key, a question mark elsewhere. */
export const SWAPPED = changed('swapped', {
  KeyY: ['z', 'Z'],
  KeyZ: ['y', 'Y'],
  Digit8: ['8', '(', '['],
  Digit0: ['0', '='],
  BracketLeft: ['ü', 'Ü'],
  Minus: ['ß', '?'],
  Equal: ['◌\u0301', '◌\u0300'],
  Slash: ['-', '_'],
});

/** No Latin letters; a sign is where Q is. */
export const FOREIGN = changed(
  'foreign',
  Object.fromEntries(
    Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ', (letter, i) => [
      `Key${letter}`,
      letter === 'Q' ? ['?', 'Q'] : [String.fromCodePoint(0x5d0 + i), letter],
    ]),
  ),
);

/** What this computer has, and what the others have. */
export const SMALL_KEYBOARDS: Keyboards = {
  here: SWAPPED,
  elsewhere: new Map([['Loft', FOREIGN]]),
};
