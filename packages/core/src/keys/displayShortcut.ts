import { KEY_BY_CODE } from './keyTable.ts';
import { MODIFIERS, type Shortcut } from './shortcut.ts';

export type Platform = 'windows' | 'mac' | 'linux';

const MODIFIER_LEGENDS: Readonly<Record<Platform, Readonly<Record<string, string>>>> = {
  windows: { ctrl: 'Ctrl', shift: 'Shift', alt: 'Alt', meta: 'Win' },
  mac: { ctrl: 'Control', shift: 'Shift', alt: 'Option', meta: 'Command' },
  linux: { ctrl: 'Ctrl', shift: 'Shift', alt: 'Alt', meta: 'Super' },
};

/** The parts a keycap shows, modifiers first, in the words of the person's platform. */
export function displayShortcut(shortcut: Shortcut, platform: Platform): readonly string[] {
  const parts = MODIFIERS.filter(({ name }) => shortcut[name]).map(
    ({ name }) => MODIFIER_LEGENDS[platform][name] ?? name,
  );
  return shortcut.code === null ? parts : [...parts, legendOf(shortcut.code)];
}

/** The short legend of one key, or its code where the table has no row for it. */
export function legendOf(code: string): string {
  return KEY_BY_CODE.get(code)?.legend ?? code;
}
