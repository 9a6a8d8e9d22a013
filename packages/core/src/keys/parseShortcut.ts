import { ok, type Result, refuse } from '../result.ts';
import { KEY_TABLE } from './keyTable.ts';
import { formatShortcut, type ModifierName, type Shortcut } from './shortcut.ts';

/** Why a text is not a shortcut; `token` is the part at fault, as it was written. */
export type ShortcutProblem =
  | { readonly code: 'shortcut-empty' }
  | { readonly code: 'shortcut-too-long'; readonly length: number }
  | { readonly code: 'shortcut-gap' }
  | { readonly code: 'shortcut-unknown-key'; readonly token: string }
  | { readonly code: 'shortcut-two-keys'; readonly first: string; readonly token: string }
  | { readonly code: 'shortcut-modifier-twice'; readonly token: string };

/** The longest text taken for a shortcut, in characters. */
export const SHORTCUT_MAX_LENGTH = 60;

const MODIFIER_WORDS: ReadonlyMap<string, ModifierName> = new Map(
  Object.entries({
    ctrl: 'ctrl',
    control: 'ctrl',
    ctl: 'ctrl',
    shift: 'shift',
    alt: 'alt',
    option: 'alt',
    meta: 'meta',
    cmd: 'meta',
    command: 'meta',
    win: 'meta',
    super: 'meta',
  } as const),
);

const KEY_WORDS: Readonly<Record<string, string>> = {
  esc: 'Escape',
  return: 'Enter',
  del: 'Delete',
  ins: 'Insert',
  pgup: 'PageUp',
  pgdn: 'PageDown',
  left: 'ArrowLeft',
  right: 'ArrowRight',
  up: 'ArrowUp',
  down: 'ArrowDown',
  plus: 'Equal',
  mute: 'AudioVolumeMute',
};

interface NamedKey {
  readonly code: string;
  readonly shift: boolean;
}

const KEY_BY_WORD: ReadonlyMap<string, NamedKey> = wordIndex();

function wordIndex(): ReadonlyMap<string, NamedKey> {
  const words = new Map<string, NamedKey>();
  for (const row of KEY_TABLE) {
    if (row.shifted && row.shifted.toLowerCase() !== row.plain) {
      words.set(row.shifted, { code: row.code, shift: true });
    }
  }
  for (const row of KEY_TABLE) {
    words.set(row.name.toLowerCase(), { code: row.code, shift: false });
    words.set(row.legend.toLowerCase(), { code: row.code, shift: false });
  }
  for (const [word, code] of Object.entries(KEY_WORDS)) words.set(word, { code, shift: word === 'plus' });
  return words;
}

/**
 * Reads a shortcut such as `Ctrl+Shift+Z`, `]`, `ArrowRight` or `F5`.
 *
 * Case, spaces around parts and the order of modifiers do not matter. A shifted character of the United
 * States layout names its key with Shift (`?` is `Shift+/`, `Ctrl++` is `Ctrl+Shift+=`).
 */
export function parseShortcut(text: string): Result<Shortcut, ShortcutProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse({ code: 'shortcut-empty' });
  if (trimmed.length > SHORTCUT_MAX_LENGTH) {
    return refuse({ code: 'shortcut-too-long', length: trimmed.length });
  }
  const on = { ctrl: false, shift: false, alt: false, meta: false };
  const asked = new Set<ModifierName>();
  let found: { readonly code: string; readonly token: string } | null = null;
  for (const token of tokensOf(trimmed)) {
    if (token === '') return refuse({ code: 'shortcut-gap' });
    const modifier = MODIFIER_WORDS.get(token.toLowerCase());
    if (modifier) {
      if (asked.has(modifier)) return refuse({ code: 'shortcut-modifier-twice', token });
      asked.add(modifier);
      on[modifier] = true;
      continue;
    }
    const named = KEY_BY_WORD.get(token.toLowerCase());
    if (!named) return refuse({ code: 'shortcut-unknown-key', token });
    if (found) return refuse({ code: 'shortcut-two-keys', first: found.token, token });
    found = { code: named.code, token };
    if (named.shift) on.shift = true;
  }
  return ok({ ...on, code: found?.code ?? null });
}

/** Splits at `+`; a `+` where a key should stand is the plus key itself. */
function tokensOf(text: string): string[] {
  if (text === '+') return ['+'];
  const plusKey = /\+\s*\+$/.test(text);
  const parts = (plusKey ? text.replace(/\+\s*\+$/, '') : text).split('+').map((part) => part.trim());
  return plusKey ? [...parts, '+'] : parts;
}

/** The canonical notation of a text, or the problem with it. */
export function canonicalShortcut(text: string): Result<string, ShortcutProblem> {
  const parsed = parseShortcut(text);
  return parsed.ok ? ok(formatShortcut(parsed.value)) : parsed;
}
