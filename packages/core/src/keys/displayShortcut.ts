import { capitalOf } from './character.ts';
import { KEY_BY_CODE, type Platform } from './keyTable.ts';
import { parseSteps } from './parseShortcut.ts';
import { canonical, MODIFIERS, type ModifierName, type Shortcut, type ShortcutKey } from './shortcut.ts';

/** How modifiers are called on each platform, as its own menus print them. */
const MODIFIER_LEGENDS: Readonly<Record<Platform, Readonly<Record<ModifierName, string>>>> = {
  windows: { ctrl: 'Ctrl', shift: 'Shift', alt: 'Alt', altGr: 'AltGr', meta: 'Win' },
  mac: { ctrl: '⌃', shift: '⇧', alt: '⌥', altGr: 'Right ⌥', meta: '⌘' },
  linux: { ctrl: 'Ctrl', shift: 'Shift', alt: 'Alt', altGr: 'AltGr', meta: 'Super' },
};

/** The order in which each platform writes modifiers. */
const ORDERS: Readonly<Record<Platform, readonly ModifierName[]>> = {
  windows: MODIFIERS.map(({ name }) => name),
  mac: ['ctrl', 'alt', 'altGr', 'shift', 'meta'],
  linux: MODIFIERS.map(({ name }) => name),
};

/** What the keys of the person's keyboard are labelled with, by code; see `legendsOf`. */
export type Legends = ReadonlyMap<string, string>;

/**
 * The parts a keycap shows, modifiers first, in the words of the person's platform. A place stands in braces, with what
 * the person's keyboard has there.
 */
export function displayShortcut(
  shortcut: Shortcut,
  platform: Platform,
  legends: Legends | null = null,
): readonly string[] {
  const whole = canonical(shortcut);
  const parts = ORDERS[platform]
    .filter((name) => whole[name])
    .map((name) => MODIFIER_LEGENDS[platform][name]);
  return whole.key === null ? parts : [...parts, keyLegend(whole.key, platform, legends)];
}

/** What the key of a shortcut is called on the person's keyboard. */
function keyLegend(key: ShortcutKey, platform: Platform, legends: Legends | null): string {
  switch (key.kind) {
    case 'character':
      return capitalOf(key.character);
    case 'named':
      return legendOf(key.code, platform, legends);
    case 'place':
      return `{${placeLabel(key.code, legends)}}`;
  }
}

/** The parts put together as the platform writes them: `Ctrl+Shift+Z`, or `⌃⇧Z`. */
export function joinParts(parts: readonly string[], platform: Platform): string {
  return parts.join(platform === 'mac' ? '' : '+');
}

/** A shortcut in our notation, of one step or several, as the person's platform and keyboard show it. */
export function displaySteps(notation: string, platform: Platform, legends: Legends | null = null): string {
  const steps = parseSteps(notation);
  if (!steps.ok) return notation;
  return steps.value.map((step) => joinParts(displayShortcut(step, platform, legends), platform)).join(', ');
}

/** What one key is called: by the person's keyboard, else by their platform; its code where neither knows it. */
export function legendOf(code: string, platform: Platform = 'linux', legends: Legends | null = null): string {
  return legends?.get(code) ?? KEY_BY_CODE.get(code)?.names[platform] ?? code;
}

/** The label of a place; its code where another key has the same one. */
function placeLabel(code: string, legends: Legends | null): string {
  const label = legends?.get(code);
  if (label === undefined) return code;
  return placeByLabel(legends, label) === code ? label : code;
}

/** Where a label is on the person's keyboard; null where no key has it. */
export function placeByLabel(legends: Legends | null, label: string): string | null {
  const labels = [...(legends ?? [])];
  const labelled = (wanted: string) => labels.find(([, legend]) => legend === wanted)?.[0];
  return labelled(label) ?? labelled(capitalOf(label)) ?? null;
}
