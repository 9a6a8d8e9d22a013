import { parsePointer, parseSteps, type TypedAt } from '../../keys/index.ts';
import type { ListLine } from './listLine.ts';

/** What parts a name from its keys in a line of text, the surest first. */
const BETWEEN: readonly RegExp[] = [
  /\t+/g,
  /\s*\.{3,}\s*/g,
  /\s{2,}/g,
  /\s+[—–→]\s+|\s+->\s+/g,
  /\s+[-=|]\s+/g,
  /\s*:\s+/g,
  /\s+\((?=[^()]*\)$)/g,
];

/** No name with its keys is so long; what is, is a sentence, and is not looked through for signs: characters. */
export const MOST_PARTED = 500;
/** A run of blanks of which no more is kept: columns are parted by fewer. */
const RUN = / {9,}/g;
const KEPT_RUN = ' '.repeat(8);

/** Lines of text, each a name and its keys in either order; empty lines are passed over. */
export function plainLines(text: string, at: TypedAt): readonly ListLine[] {
  return text.split(/\r\n|\r|\n/).flatMap((own, i) => {
    const bare = own.trim();
    return bare === '' ? [] : [{ line: i + 1, cells: partedLine(bare, at) }];
  });
}

/** A line as its name and its keys; one cell where nothing of it is keys. */
export function partedLine(given: string, at: TypedAt): readonly string[] {
  const line = given.replace(RUN, KEPT_RUN);
  if (line.length > MOST_PARTED) return [line];
  for (const between of BETWEEN) {
    // From the end: a name may have the same sign in it.
    for (const found of [...line.matchAll(between)].reverse()) {
      const left = line.slice(0, found.index).trim();
      const right = line
        .slice(found.index + found[0].length)
        .trim()
        .replace(/\)$/, '');
      if (left === '' || right === '') continue;
      if (areKeys(right, at)) return [left, right];
      if (areKeys(left, at)) return [right, left];
    }
  }
  return lastWords(line, at) ?? [line];
}

/** Whether a text is keys or a use of the pointer, and no sentence. */
function areKeys(text: string, at: TypedAt): boolean {
  const [first = ''] = alternatives(text);
  return parseSteps(first, at).ok || parsePointer(first, at) !== null;
}

/** A name with a chord after one space: `Undo Ctrl+Z`. Only what has a modifier or is a function key is surely one. */
function lastWords(line: string, at: TypedAt): readonly string[] | null {
  const words = line.split(' ');
  for (let i = 1; i < words.length; i++) {
    const keys = words.slice(i).join(' ');
    if (!/\S[+-]\S|[⌘⌥⇧⌃^]|^F\d+$/.test(keys)) continue;
    if (parseSteps(keys, at).ok) return [words.slice(0, i).join(' '), keys];
  }
  return null;
}

/** Different keys for the same, as lists write them in one place. */
export function alternatives(given: string): readonly string[] {
  const cell = given.replace(RUN, KEPT_RUN);
  if (cell.length > MOST_PARTED) return [cell.trim()];
  const bare = cell.replace(/[`*]{1,2}(?=\S)(.*?)[`*]{1,2}/g, '$1').trim();
  const parts = bare.split(/\s+(?:or|oder|ou)\s+|\s*\n\s*|\s+\/\s+|;\s+/i).map((part) => part.trim());
  return parts.filter((part) => part !== '');
}
