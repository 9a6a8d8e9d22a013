import { KEY_BY_USAGE } from '../../keys/index.ts';
import names from './usageNames.json' with { type: 'json' };

/** A usage of the HID Usage Tables: its page and its id on it. */
export interface Usage {
  readonly page: number;
  readonly id: number;
}

/** Usage pages we tell apart (HID Usage Tables 1.5, section 3). */
export const PAGES = {
  desktop: 0x01,
  simulation: 0x02,
  game: 0x05,
  keyboard: 0x07,
  led: 0x08,
  button: 0x09,
  consumer: 0x0c,
  digitizer: 0x0d,
  haptics: 0x0e,
} as const;

/** Pages that vendors fill as they like begin here. */
export const VENDOR_PAGES = 0xff00;

/** Names of usage pages (HID Usage Tables 1.5, section 3), in lower case as words in a sentence. */
const PAGE_NAMES: ReadonlyMap<number, string> = new Map([
  [PAGES.desktop, 'Generic desktop'],
  [PAGES.simulation, 'Simulation'],
  [PAGES.game, 'Game'],
  [PAGES.keyboard, 'Keyboard'],
  [PAGES.led, 'LED'],
  [PAGES.button, 'Button'],
  [PAGES.consumer, 'Consumer'],
  [PAGES.digitizer, 'Digitizer'],
  [PAGES.haptics, 'Haptics'],
]);

/** By page and id, in hexadecimal; from the USB ID repository and, for haptics, from memory of the HUT. */
const NAMES: Readonly<Record<string, Readonly<Record<string, string>>>> = names;

/** A usage page as people call it; its number in hexadecimal where we have no name. */
export function pageName(page: number): string {
  return PAGE_NAMES.get(page) ?? (page >= VENDOR_PAGES ? 'Vendor' : `Page ${hex(page)}`);
}

/** What ids of controls are made of: the first names there were. */
export function usageIdName({ page, id }: Usage): string {
  if (page === PAGES.keyboard) return KEY_BY_USAGE.get((page << 16) | id)?.names.linux ?? `Key ${hex(id)}`;
  return page === PAGES.consumer ? tableName(page, id) : usageName({ page, id });
}

/** What people call a usage: a key by the key table, else as the usage tables do; its number where neither knows it. */
export function usageName({ page, id }: Usage): string {
  if (page === PAGES.button) return id === 0 ? 'No button' : `Button ${id}`;
  const key = KEY_BY_USAGE.get((page << 16) | id);
  // Both keys of a pair are there: the left one is called so too.
  if (key)
    return key.code.endsWith('Left') && key.kind === 'modifier' ? `Left ${key.names.linux}` : key.names.linux;
  if (page === PAGES.keyboard) return `Further key ${id}`;
  return tableName(page, id);
}

/** By the usage tables. */
function tableName(page: number, id: number): string {
  const known = NAMES[page.toString(16).padStart(2, '0')]?.[id.toString(16)];
  return known ?? `${pageName(page)} ${hex(id)}`;
}

/** A number as the tables print it. */
function hex(value: number): string {
  return `0x${value.toString(16).padStart(2, '0')}`;
}
