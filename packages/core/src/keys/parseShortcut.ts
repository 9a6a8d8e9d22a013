import { ok, type Result, refuse } from '../result.ts';
import { KEY_WORDS, MODIFIER_WORDS, POINTER_WORDS, SYMBOLS } from './keyWords.ts';
import { BARE, formatShortcut, type ModifierName, type Shortcut } from './shortcut.ts';

/** Why a text is not a shortcut; `token` is the part at fault, as it was written. */
export type ShortcutProblem =
  | { readonly code: 'shortcut-empty' }
  | { readonly code: 'shortcut-too-long'; readonly length: number }
  | { readonly code: 'shortcut-too-many-steps'; readonly steps: number }
  | { readonly code: 'shortcut-gap' }
  | { readonly code: 'shortcut-unknown-key'; readonly token: string }
  | { readonly code: 'shortcut-pointer'; readonly token: string }
  | { readonly code: 'shortcut-two-keys'; readonly first: string; readonly token: string }
  | { readonly code: 'shortcut-modifier-twice'; readonly token: string };

/** The longest text taken for one shortcut or several steps, in characters, and the most steps. */
export const SHORTCUT_MAX_LENGTH = 120;
/** More in a row is a macro. */
export const MOST_SHORTCUT_STEPS = 4;

/**
 * Reads a shortcut such as `Ctrl+Shift+Z`, `]`, `ArrowRight` or `F5`, and what people and command lists write
 * for one: `ctl + shift + =`, `Cmd-Z`, `⌘⇧Z`, `Ctrl++`, `Control Plus`.
 *
 * Case, spaces around parts and the order of modifiers do not matter. A shifted character of the United
 * States layout names its key with Shift (`?` is `Shift+/`, `Ctrl++` is `Ctrl+Shift+=`), unless `typedBy` knows
 * better which key of the person's keyboard types it.
 */
export function parseShortcut(
  text: string,
  typedBy: TypedBy = () => null,
): Result<Shortcut, ShortcutProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse({ code: 'shortcut-empty' });
  if (trimmed.length > SHORTCUT_MAX_LENGTH) {
    return refuse({ code: 'shortcut-too-long', length: trimmed.length });
  }
  const on: Record<ModifierName, boolean> = { ...BARE };
  const asked = new Set<ModifierName>();
  let found: { readonly code: string; readonly token: string } | null = null;
  for (const token of tokensOf(trimmed)) {
    if (token === '') return refuse({ code: 'shortcut-gap' });
    const word = wordOf(token);
    const modifier = MODIFIER_WORDS.get(word);
    if (modifier) {
      if (asked.has(modifier)) return refuse({ code: 'shortcut-modifier-twice', token });
      asked.add(modifier);
      on[modifier] = true;
      continue;
    }
    const typed = Array.from(token).length === 1 ? (typedBy(token.toLowerCase()) ?? typedBy(token)) : null;
    const named = typed ?? KEY_WORDS.get(word);
    if (!named) {
      const code = POINTER_WORDS.has(word) ? 'shortcut-pointer' : 'shortcut-unknown-key';
      return refuse({ code, token });
    }
    if (found) return refuse({ code: 'shortcut-two-keys', first: found.token, token });
    found = { code: named.code, token };
    if (named.shift) on.shift = true;
    if (typed?.altGr) on.altGr = true;
  }
  return ok({ ...on, code: found?.code ?? null });
}

/** The key of a keyboard that types a character; null where none does. */
export type TypedBy = (
  character: string,
) => { readonly code: string; readonly shift: boolean; readonly altGr: boolean } | null;

/** A token as words are looked up: without case and inner spaces. */
function wordOf(token: string): string {
  return token.toLowerCase().replace(/\s+/g, '');
}

/**
 * Splits a text into parts: at symbols; else at `+`; where there is none, at `-` after a modifier; else at spaces.
 * A separator where a key should stand is that key.
 */
function tokensOf(text: string): string[] {
  if (Array.from(text).some((character) => SYMBOLS.has(character))) return symbolTokens(text);
  if (text.includes('+')) return splitAt(text, '+');
  const dashed = splitAt(text, '-');
  if (dashed.length > 1 && MODIFIER_WORDS.has(wordOf(dashed[0] ?? ''))) return dashed;
  const words = text.split(/\s+/);
  const modifiers = words.slice(0, -1).every((word) => MODIFIER_WORDS.has(wordOf(word)));
  return words.length > 1 && modifiers ? words : [text];
}

/** A separator that stands for its own key (`Ctrl++`) does not separate. */
function splitAt(text: string, separator: '+' | '-'): string[] {
  if (text === separator) return [separator];
  const tail = new RegExp(`\\${separator}\\s*\\${separator}$`);
  const isKey = tail.test(text);
  const parts = (isKey ? text.replace(tail, '') : text).split(separator).map((part) => part.trim());
  return isKey ? [...parts, separator] : parts;
}

/** `⌘⇧Z` in parts: each symbol is one, and so is what stands between; a `+` between parts is dropped. */
function symbolTokens(text: string): string[] {
  const tokens: string[] = [];
  let rest = '';
  const endRest = () => {
    const bare = rest.trim().replace(/^[+-]\s*(?=.)|(?<=.)\s*[+-]$/g, '');
    const between = bare === '+' && tokens.length > 0 && rest.length > 1;
    if (bare !== '' && !between) tokens.push(...splitAt(bare, '+'));
    rest = '';
  };
  for (const character of text) {
    const word = SYMBOLS.get(character);
    if (word === undefined) rest += character;
    else {
      if (rest.trim() !== '+') endRest();
      rest = '';
      tokens.push(word);
    }
  }
  endRest();
  return tokens;
}

/**
 * Reads the steps of a shortcut that is pressed in several, as command lists write it: `Ctrl+K, Ctrl+S`. One
 * shortcut is one step.
 */
export function parseSteps(text: string): Result<readonly Shortcut[], ShortcutProblem> {
  const parts = text.trim().split(/(?<=\S),\s+/);
  if (parts.length > MOST_SHORTCUT_STEPS) {
    return refuse({ code: 'shortcut-too-many-steps', steps: parts.length });
  }
  const steps: Shortcut[] = [];
  for (const part of parts) {
    const step = parseShortcut(part);
    if (!step.ok) return step;
    steps.push(step.value);
  }
  return ok(steps);
}

/** The canonical notation of a text, or the problem with it. */
export function canonicalShortcut(text: string): Result<string, ShortcutProblem> {
  const parsed = parseShortcut(text);
  return parsed.ok ? ok(formatShortcut(parsed.value)) : parsed;
}

/** The same for steps, joined by a comma and a space. */
export function canonicalSteps(text: string): Result<string, ShortcutProblem> {
  const parsed = parseSteps(text);
  return parsed.ok ? ok(parsed.value.map(formatShortcut).join(', ')) : parsed;
}
