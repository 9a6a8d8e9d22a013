import { ok, type Result, refuse } from '../../result.ts';

/** A regular expression as a tree. Characters are Unicode code points. */
export type RegexNode =
  | {
      readonly kind: 'one';
      readonly fits: (point: number) => boolean;
      /** The character, where it fits only one. */
      readonly literal?: string;
    }
  | { readonly kind: 'assert'; readonly what: 'start' | 'end' | 'boundary' | 'no-boundary' }
  | { readonly kind: 'sequence' | 'choice'; readonly parts: readonly RegexNode[] }
  | {
      readonly kind: 'repeat';
      readonly part: RegexNode;
      readonly least: number /** null: no end */;
      readonly most: number | null;
    };

/** Why a text is not a regular expression we take; `at` counts characters from 0. */
export interface RegexProblem {
  readonly code:
    | 'regex-unclosed'
    | 'regex-nothing-to-repeat'
    | 'regex-not-supported'
    | 'regex-bad-range'
    | 'regex-stray'
    | 'regex-too-large';
  /** Character from the start of the pattern. */
  readonly at: number;
  /** What stands there. */
  readonly text: string;
}

/** Ends the reading with the reason; caught where it began. */
class Refused extends Error {
  constructor(readonly problem: RegexProblem) {
    super(problem.code);
  }
}

/** The most a counted repeat may ask for. */
const MOST_REPEATS = 200;

/** Classes of characters by code point, without the `u` flag's folding (ECMAScript, `CharacterClassEscape`). */
const isDigit = (point: number) => point >= 48 && point <= 57;
const isWord = (point: number) =>
  isDigit(point) || (point >= 65 && point <= 90) || point === 95 || (point >= 97 && point <= 122);
const isSpace = (point: number) => /\s/u.test(String.fromCodePoint(point));
const isLineEnd = (point: number) => point === 10 || point === 13 || point === 0x2028 || point === 0x2029;

/** What stands after a backslash for a class. */
const CLASSES: ReadonlyMap<string, (point: number) => boolean> = new Map([
  ['d', isDigit],
  ['w', isWord],
  ['s', isSpace],
  ['D', (point) => !isDigit(point)],
  ['W', (point) => !isWord(point)],
  ['S', (point) => !isSpace(point)],
]);
/** What stands after a backslash for a control character. */
const CONTROL_ESCAPES: ReadonlyMap<string, number> = new Map([
  ['n', 10],
  ['r', 13],
  ['t', 9],
  ['f', 12],
  ['v', 11],
  ['0', 0],
]);
/** Characters that stand for themselves after a backslash. */
const PUNCTUATION = '^$\\.*+?()[]{}|/-';

/** Whether a code point is of a word, as `\b` sees it. */
export const isWordPoint = isWord;

/**
 * Reads a regular expression: characters, `.`, classes, groups, `|`, `* + ? {m,n}` (lazy forms too), `^`, `$`,
 * `\b`. What a machine without memory cannot match (look-around, back-references) is refused.
 */
export function readRegex(source: string): Result<RegexNode, RegexProblem> {
  const reader = new Reader([...source]);
  try {
    const tree = reader.choice();
    if (!reader.done) throw reader.refusal('regex-stray');
    return ok(tree);
  } catch (error) {
    if (error instanceof Refused) return refuse(error.problem);
    throw error;
  }
}

/** Reads a pattern from left to right, one character at a time. */
class Reader {
  #at = 0;
  constructor(private readonly text: readonly string[]) {}

  get done(): boolean {
    return this.#at >= this.text.length;
  }

  refusal(code: RegexProblem['code'], at = this.#at): Refused {
    return new Refused({ code, at, text: this.text.slice(at, at + 8).join('') });
  }

  choice(): RegexNode {
    const parts = [this.#sequence()];
    while (this.#take('|')) parts.push(this.#sequence());
    return parts.length === 1 && parts[0] ? parts[0] : { kind: 'choice', parts };
  }

  /** Terms one after another. */
  #sequence(): RegexNode {
    const parts: RegexNode[] = [];
    while (!this.done && this.#peek() !== '|' && this.#peek() !== ')') parts.push(this.#repeated());
    return { kind: 'sequence', parts };
  }

  /** A term with how often. */
  #repeated(): RegexNode {
    const from = this.#at;
    const part = this.#atom();
    const count = this.#count();
    if (!count) return part;
    if (part.kind === 'assert') throw this.refusal('regex-nothing-to-repeat', from);
    this.#take('?');
    const again = this.#at;
    if (this.#count()) throw this.refusal('regex-nothing-to-repeat', again);
    return { kind: 'repeat', part, ...count };
  }

  /** `*`, `+`, `?` or a number in braces. */
  #count(): { least: number; most: number | null } | null {
    if (this.#take('*')) return { least: 0, most: null };
    if (this.#take('+')) return { least: 1, most: null };
    if (this.#take('?')) return { least: 0, most: 1 };
    const found = /^\{(\d{1,4})(,(\d{0,4}))?\}/.exec(this.text.slice(this.#at, this.#at + 12).join(''));
    if (!found) return null;
    const least = Number(found[1]);
    const most = found[2] === undefined ? least : found[3] ? Number(found[3]) : null;
    if (least > MOST_REPEATS || (most ?? 0) > MOST_REPEATS) throw this.refusal('regex-too-large');
    if (most !== null && most < least) throw this.refusal('regex-bad-range');
    this.#at += found[0].length;
    return { least, most };
  }

  /** One character, a class, a group, an edge of the text. */
  #atom(): RegexNode {
    const from = this.#at;
    const character = this.#next();
    switch (character) {
      case '^':
        return { kind: 'assert', what: 'start' };
      case '$':
        return { kind: 'assert', what: 'end' };
      case '.':
        return { kind: 'one', fits: (point) => !isLineEnd(point) };
      case '(':
        return this.#group(from);
      case '[':
        return this.#set(from);
      case '\\':
        return this.#escape(from);
      case '*':
      case '+':
      case '?':
        throw this.refusal('regex-nothing-to-repeat', from);
      case ']':
      case '{':
      case '}':
        throw this.refusal('regex-stray', from);
      default:
        return same(character);
    }
  }

  /** Groups only bind: nothing is captured, nothing is looked at ahead. */
  #group(from: number): RegexNode {
    if (this.#peek() === '?' && !(this.#take('?') && this.#take(':')))
      throw this.refusal('regex-not-supported', from);
    const inside = this.choice();
    if (!this.#take(')')) throw this.refusal('regex-unclosed', from);
    return inside;
  }

  /** Classes, edges and characters that mean themselves. */
  #escape(from: number): RegexNode {
    if (this.done) throw this.refusal('regex-unclosed', from);
    const character = this.#next();
    if (character === 'b') return { kind: 'assert', what: 'boundary' };
    if (character === 'B') return { kind: 'assert', what: 'no-boundary' };
    return { kind: 'one', fits: this.#escaped(character, from) };
  }

  #escaped(character: string, from: number): (point: number) => boolean {
    const known = CLASSES.get(character);
    if (known) return known;
    const control = CONTROL_ESCAPES.get(character);
    if (control !== undefined) return (point) => point === control;
    if (!PUNCTUATION.includes(character)) throw this.refusal('regex-not-supported', from);
    return (point) => point === character.codePointAt(0);
  }

  /** Characters in brackets. */
  #set(from: number): RegexNode {
    const negated = this.#take('^');
    const tests: ((point: number) => boolean)[] = [];
    while (!this.#take(']')) {
      if (this.done) throw this.refusal('regex-unclosed', from);
      tests.push(this.#setMember());
    }
    const fits = (point: number) => tests.some((test) => test(point)) !== negated;
    return { kind: 'one', fits };
  }

  #setMember(): (point: number) => boolean {
    const from = this.#at;
    const low = this.#readMember();
    if (typeof low === 'function') return low;
    if (this.#peek() !== '-' || this.text[this.#at + 1] === ']') return (point) => point === low;
    this.#next();
    const high = this.done ? null : this.#readMember();
    if (typeof high !== 'number' || high < low) throw this.refusal('regex-bad-range', from);
    return (point) => point >= low && point <= high;
  }

  #readMember(): number | ((point: number) => boolean) {
    const from = this.#at;
    const character = this.#next();
    if (character !== '\\') return character.codePointAt(0) ?? 0;
    if (this.done) throw this.refusal('regex-unclosed', from);
    const escaped = this.#next();
    const known = CLASSES.get(escaped);
    if (known) return known;
    const control = CONTROL_ESCAPES.get(escaped);
    if (control !== undefined) return control;
    if (!PUNCTUATION.includes(escaped)) throw this.refusal('regex-not-supported', from);
    return escaped.codePointAt(0) ?? 0;
  }

  #peek(): string | undefined {
    return this.text[this.#at];
  }

  #next(): string {
    const character = this.text[this.#at] ?? '';
    this.#at += 1;
    return character;
  }

  #take(character: string): boolean {
    if (this.#peek() !== character) return false;
    this.#at += 1;
    return true;
  }
}

/** A character that stands for itself. */
function same(character: string): RegexNode {
  const own = character.codePointAt(0);
  return { kind: 'one', fits: (point) => point === own, literal: character };
}
