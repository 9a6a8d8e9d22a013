import { isKeyCharacter, plainCharacter } from './character.ts';
import type { Platform } from './keyTable.ts';
import {
  folded,
  KEY_WORDS,
  MODIFIER_WORDS,
  PLACES,
  PLATFORM_WORDS,
  RIGHT_WORDS,
  SYMBOLS,
} from './keyWords.ts';
import { POINTER_WORDS, type PointerAct } from './pointerWords.ts';
import type { ModifierName, ShortcutKey } from './shortcut.ts';

/** What a part of a text meant as a shortcut is. */
type Meaning =
  | { readonly is: 'modifier'; readonly modifier: ModifierName }
  | { readonly is: 'right'; readonly modifier: ModifierName; readonly code: string }
  | { readonly is: 'key'; readonly key: ShortcutKey }
  | { readonly is: 'pointer'; readonly act: PointerAct | null }
  | { readonly is: 'unknown' }
  | { readonly is: 'gap' };

/** A part of a text meant as a shortcut, as it was written, and what it is. */
export type Token = Meaning & {
  readonly text: string;
  /** Whether a plus or minus joins it to the one before: then it cannot begin a further step. */
  readonly joined: boolean;
};

/** Where a text was typed, which decides what some words mean. */
export interface TypedAt {
  /** Words that only this platform's keyboards print. Null for text in our own notation. */
  readonly platform: Platform | null;
  /** The place of a key by its label on the person's keyboard, for what stands in braces. */
  readonly placeOf: (label: string) => string | null;
  /** What other languages call keys; null where only English is read. */
  readonly words: ForeignWords | null;
}

/** Words for modifiers and keys in other languages, folded. */
export interface ForeignWords {
  readonly modifiers: ReadonlyMap<string, ModifierName>;
  readonly keys: ReadonlyMap<string, ShortcutKey>;
}

/** Our own notation: the same wherever it is read. */
export const NOTATION: TypedAt = { platform: null, placeOf: () => null, words: null };

/** The most words that one name of a key has ("seta para a esquerda"). */
const MOST_WORDS = 5;

/** Takes a text apart into modifiers and keys; separators are `+`, `-` after a modifier, spaces and symbols. */
export function tokensOf(text: string, at: TypedAt): readonly Token[] {
  const braced: string[] = [];
  // What stands in braces is one part, whatever it is: `{+}` is the key with the plus on it.
  const whole = text.replace(BRACED, (_whole, label: string) => {
    braced.push(label.trim());
    return String.fromCodePoint(FIRST_PRIVATE + braced.length - 1);
  });
  return chunksOf(unfurled(whole)).flatMap(({ chunk, joined }) => wordsOf(chunk, joined, { ...at, braced }));
}

/** A label or code in braces. */
const BRACED = /\{(\s*[^\s{}][^{}]*|[{}])\}/g;
/** Characters that Unicode gives no meaning; they stand for what was in braces while a text is taken apart. */
const FIRST_PRIVATE = 0xe000;

/** Where a text was typed, and the labels that stand in braces in it. */
type Reading = TypedAt & { readonly braced: readonly string[] };

/**
 * Invisible marks taken out, symbols as words of their own, and the ways in which X11's and older lists write modifiers
 * (`<Control>z`, `^S`) as ours.
 */
function unfurled(text: string): string {
  const plain = text
    .normalize('NFC')
    .replace(/[\ufe0e\ufe0f\u200b-\u200f\u2066-\u2069]/g, '')
    .replace(/<(\w+)>/g, (whole, word: string) => (MODIFIER_WORDS.has(folded(word)) ? ` ${word} ` : whole))
    .replace(/(^|\s)\^(?=[\p{L}\p{N}⇧⌥⌘])/gu, '$1 Ctrl ');
  return Array.from(plain, (character) => {
    const word = SYMBOLS.get(character);
    return word === undefined ? character : ` ${word}${END}`;
  })
    .join('')
    .trim();
}

/** A stretch between two separators. */
interface Chunk {
  readonly chunk: string;
  readonly joined: boolean;
}

/**
 * Splits at `+`, where there is none at `-` after a modifier. A separator where a key should stand is that key: after
 * another one, or at the end after a space (`Ctrl -`) or what is no modifier (`Num+`).
 */
function chunksOf(text: string): readonly Chunk[] {
  if (text.includes('+')) return splitAt(text, '+');
  const dashed = splitAt(text, '-');
  return dashed.length > 1 && isModifiers(dashed[0]?.chunk ?? '') ? dashed : [{ chunk: text, joined: false }];
}

function splitAt(text: string, separator: '+' | '-'): readonly Chunk[] {
  const chunks: Chunk[] = [];
  let rest = '';
  let joined = false;
  const characters = Array.from(text);
  for (const [i, character] of characters.entries()) {
    const before = rest.trim();
    const ends = characters.slice(i + 1).every((next) => next.trim() === '');
    const apart = /\s$/.test(rest) || rest.endsWith(END);
    const isKey = before === '' ? chunks.length > 0 || ends : ends && (apart || !isModifiers(before));
    if (character !== separator || isKey) {
      rest += character;
      continue;
    }
    chunks.push({ chunk: before, joined });
    rest = '';
    joined = true;
  }
  return [...chunks, { chunk: rest.trim(), joined }];
}

/** Whether a stretch is nothing but modifiers. */
function isModifiers(chunk: string): boolean {
  const tokens = wordsOf(chunk, false, { ...NOTATION, braced: [] });
  return tokens.length > 0 && tokens.every(({ is }) => is === 'modifier');
}

/** Stands after the word for a symbol: what follows is another part, whatever the two would name together. */
const END = '\u001f';

/** A stretch in its parts. */
function wordsOf(chunk: string, joined: boolean, at: Reading): readonly Token[] {
  const parts = chunk.split(END).map((part) => part.trim());
  const named = parts.filter((part) => part !== '');
  if (named.length === 0) return [{ is: 'gap', text: '', joined }];
  return named.flatMap((part, i) => namesIn(part, joined && i === 0, at));
}

/** Words, as many together as there is a name for. */
function namesIn(chunk: string, joined: boolean, at: Reading): readonly Token[] {
  const whole = meaningOf(chunk, at);
  if (whole) return [{ ...whole, text: chunk, joined }];
  const words = chunk.split(/\s+/);
  const tokens: Token[] = [];
  for (let i = 0; i < words.length; ) {
    let taken = Math.min(MOST_WORDS, words.length - i);
    let found: Meaning | null = null;
    for (; taken > 0; taken--) {
      found = meaningOf(words.slice(i, i + taken).join(' '), at);
      if (found) break;
    }
    if (!found)
      return [...tokens, { is: 'unknown', text: words.slice(i).join(' '), joined: joined && i === 0 }];
    const text = words.slice(i, i + taken).join(' ');
    tokens.push({ ...found, text, joined: joined && i === 0 });
    i += taken;
  }
  return tokens;
}

/** What a word, or several, are the name of. */
function meaningOf(words: string, at: Reading): Meaning | null {
  const { placeOf, braced } = at;
  const label = braced[(words.codePointAt(0) ?? 0) - FIRST_PRIVATE];
  if (label !== undefined) return inBraces(label, placeOf);
  const named = nameOf(words, at) ?? nameOf(words.replace(UNDERSCORE, ' '), at);
  if (named) return named;
  const character = words === '−' ? '-' : words;
  if (!isKeyCharacter(character)) return null;
  return { is: 'key', key: { kind: 'character', character: plainCharacter(character) } };
}

/** As X11's names of keys are written: `Page_Up`. */
const UNDERSCORE = /(?<=[\p{L}\d])_(?=[\p{L}\d])/gu;

/** What is called so. */
function nameOf(words: string, { platform, words: foreign }: TypedAt): Meaning | null {
  const word = folded(words);
  const printed = platform && PLATFORM_WORDS[platform].get(word);
  if (printed) return { is: 'key', key: printed };
  const modifier = MODIFIER_WORDS.get(word) ?? foreign?.modifiers.get(word);
  if (modifier) return { is: 'modifier', modifier };
  const right = RIGHT_WORDS.get(word);
  if (right) return { is: 'right', ...right };
  const named = KEY_WORDS.get(word) ?? foreign?.keys.get(word);
  if (named) return { is: 'key', key: named };
  const act = POINTER_WORDS.get(word);
  return act === undefined ? null : { is: 'pointer', act };
}

/** A place, by its code or by what the person's keyboard has there. */
function inBraces(label: string, placeOf: TypedAt['placeOf']): Meaning | null {
  const code = placeOf(label) ?? PLACES.get(folded(label));
  return code === undefined ? null : { is: 'key', key: { kind: 'place', code } };
}
