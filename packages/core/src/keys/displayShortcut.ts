import { KEY_BY_CODE, type Platform } from './keyTable.ts';
import { parseSteps } from './parseShortcut.ts';
import { MODIFIERS, type ModifierName, type Shortcut } from './shortcut.ts';

/** How modifiers are called on each platform, as its own menus print them. */
const MODIFIER_LEGENDS: Readonly<Record<Platform, Readonly<Record<ModifierName, string>>>> = {
  windows: { ctrl: 'Ctrl', shift: 'Shift', alt: 'Alt', altGr: 'AltGr', meta: 'Win' },
  mac: { ctrl: '⌃', shift: '⇧', alt: '⌥', altGr: '⌥ right', meta: '⌘' },
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

/** The parts a keycap shows, modifiers first, in the words of the person's platform and keyboard. */
export function displayShortcut(
  shortcut: Shortcut,
  platform: Platform,
  legends: Legends | null = null,
): readonly string[] {
  const parts = ORDERS[platform]
    .filter((name) => shortcut[name])
    .map((name) => MODIFIER_LEGENDS[platform][name]);
  return shortcut.code === null ? parts : [...parts, legendOf(shortcut.code, platform, legends)];
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
