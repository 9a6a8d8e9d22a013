import { ok, type Result, refuse } from '../result.ts';
import type { PointerAct } from './pointerWords.ts';
import {
  BARE,
  canonical,
  formatShortcut,
  type ModifierName,
  type Shortcut,
  type ShortcutKey,
} from './shortcut.ts';
import { NOTATION, type Token, type TypedAt, tokensOf } from './tokens.ts';

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
 * Reads a shortcut such as `Ctrl+Shift+Z`, `]`, `ArrowRight`, `F5` or `Ctrl+{KeyZ}`, and what people and command lists
 * write for one: `ctl + shift + =`, `Cmd-Z`, `⌘⇧Z`, `Ctrl++`, `<Control>z`, `Strg+Umschalt+Entf`. A single character
 * means the key that types it on whichever keyboard; one in braces is the key at that place.
 *
 * Case, spaces around parts and the order of modifiers do not matter. Comes out canonical.
 */
export function parseShortcut(text: string, at: TypedAt = NOTATION): Result<Shortcut, ShortcutProblem> {
  const steps = parseSteps(text, at);
  if (!steps.ok) return steps;
  const [first, second] = steps.value;
  if (!first) return refuse({ code: 'shortcut-empty' });
  if (!second) return ok(first);
  return refuse({ code: 'shortcut-two-keys', first: formatShortcut(first), token: formatShortcut(second) });
}

/**
 * Reads the steps of a shortcut that is pressed in several, as command lists write it: `Ctrl+K, Ctrl+S`,
 * `Ctrl+K Ctrl+S`, `G then D`. One shortcut is one step.
 */
export function parseSteps(
  text: string,
  at: TypedAt = NOTATION,
): Result<readonly Shortcut[], ShortcutProblem> {
  if (at !== NOTATION) return readSteps(text, at);
  const before = known.get(text);
  if (before) return before;
  const read = readSteps(text, at);
  if (known.size >= MOST_KNOWN) known.clear();
  if (text.length <= SHORTCUT_MAX_LENGTH) known.set(text, read);
  return read;
}

/** What was read before, in our notation: a set-up has the same few shortcuts over and over. */
const known = new Map<string, Result<readonly Shortcut[], ShortcutProblem>>();
const MOST_KNOWN = 5000;

function readSteps(text: string, at: TypedAt): Result<readonly Shortcut[], ShortcutProblem> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse({ code: 'shortcut-empty' });
  if (trimmed.length > SHORTCUT_MAX_LENGTH) {
    return refuse({ code: 'shortcut-too-long', length: trimmed.length });
  }
  const steps: Shortcut[] = [];
  for (const part of trimmed.split(/(?<=\S),\s+|(?<=\S)\s+then\s+(?=\S)/i)) {
    const read = stepsIn(tokensOf(part, at));
    if (!read.ok) return read;
    steps.push(...read.value);
  }
  if (steps.length <= MOST_SHORTCUT_STEPS) return ok(steps);
  return refuse({ code: 'shortcut-too-many-steps', steps: steps.length });
}

/** What a pointer does, and the keys held with it, in our notation; null for none. */
export interface PointerUse {
  readonly keys: string | null;
  readonly act: PointerAct;
}

/** Reads what people write for a use of the pointer: `Ctrl+click`, `Alt+right drag`, `Shift+wheel up`; else null. */
export function parsePointer(text: string, at: TypedAt = NOTATION): PointerUse | null {
  if (text.length > SHORTCUT_MAX_LENGTH) return null;
  const tokens = tokensOf(text.trim(), at);
  const last = tokens.at(-1);
  if (last?.is !== 'pointer' || last.act === null) return null;
  const held = tokens.slice(0, -1);
  if (held.length === 0) return { keys: null, act: last.act };
  const steps = stepsIn(held);
  const [only, second] = steps.ok ? steps.value : [];
  return only && !second ? { keys: formatShortcut(only), act: last.act } : null;
}

/** The canonical notation of a text, or the problem with it. */
export function canonicalShortcut(text: string, at: TypedAt = NOTATION): Result<string, ShortcutProblem> {
  const parsed = parseShortcut(text, at);
  return parsed.ok ? ok(formatShortcut(parsed.value)) : parsed;
}

/** The same for steps, joined by a comma and a space. */
export function canonicalSteps(text: string, at: TypedAt = NOTATION): Result<string, ShortcutProblem> {
  const parsed = parseSteps(text, at);
  return parsed.ok ? ok(formatSteps(parsed.value)) : parsed;
}

/** Steps in canonical notation. */
export function formatSteps(steps: readonly Shortcut[]): string {
  return steps.map(formatShortcut).join(', ');
}

/** A step that is being read. */
interface Reading {
  readonly on: Record<ModifierName, boolean>;
  /** Its key, as it was written. */
  key: { readonly key: ShortcutKey; readonly token: string } | null;
  /** The right one of a pair, which is the key where no other comes. */
  right: { readonly modifier: ModifierName; readonly code: string } | null;
}

/** Puts parts together: after a step's key, what a separator does not join to it begins the next step. */
function stepsIn(tokens: readonly Token[]): Result<readonly Shortcut[], ShortcutProblem> {
  const steps: Shortcut[] = [];
  let step: Reading = { on: { ...BARE }, key: null, right: null };
  for (const token of tokens) {
    const { text } = token;
    if (token.is === 'gap') return refuse({ code: 'shortcut-gap' });
    if (token.is === 'unknown') return refuse({ code: 'shortcut-unknown-key', token: text });
    if (token.is === 'pointer') return refuse({ code: 'shortcut-pointer', token: text });
    const isChord = Object.values(step.on).some(Boolean);
    if (step.key && !token.joined && (token.is !== 'key' || isChord)) {
      steps.push(shortcutOf(step));
      step = { on: { ...BARE }, key: null, right: null };
    }
    const problem = token.is === 'key' ? takeKey(step, token.key, text) : takeModifier(step, token);
    if (problem) return refuse(problem);
  }
  return ok([...steps, shortcutOf(step)]);
}

function takeKey(step: Reading, key: ShortcutKey, token: string): ShortcutProblem | null {
  if (step.key) return { code: 'shortcut-two-keys', first: step.key.token, token };
  step.key = { key, token };
  return null;
}

function takeModifier(
  step: Reading,
  token: Extract<Token, { is: 'modifier' | 'right' }>,
): ShortcutProblem | null {
  const { modifier, text } = token;
  // The other one of a pair is a key of its own beside it.
  if (token.is === 'right' && step.on[modifier])
    return takeKey(step, { kind: 'named', code: token.code }, text);
  if (step.on[modifier]) return { code: 'shortcut-modifier-twice', token: text };
  step.on[modifier] = true;
  if (token.is === 'right') step.right = token;
  return null;
}

function shortcutOf({ on, key, right }: Reading): Shortcut {
  if (key || !right) return canonical({ ...on, key: key?.key ?? null });
  return { ...on, [right.modifier]: false, key: { kind: 'named', code: right.code } };
}
