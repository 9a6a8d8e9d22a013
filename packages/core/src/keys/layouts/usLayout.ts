import { KEY_TABLE } from '../keyTable.ts';
import { type Layout, readLayout } from './layout.ts';

/** The United States layout, of which the key table says all; the others are files. */
export const US_LAYOUT: Layout = readLayout({
  id: 'us',
  name: 'English (United States)',
  xkb: ['us', ''],
  keys: Object.fromEntries(
    KEY_TABLE.filter(({ plain }) => plain !== undefined).map(({ code, plain = '', shifted = plain }) => [
      code,
      plain === shifted ? [plain] : [plain, shifted],
    ]),
  ),
});
