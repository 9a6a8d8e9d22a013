import { KEY_TABLE, type KeyRow } from './keyTable.ts';

/** Further words by which a key is looked for. */
const WORDS: Readonly<Record<string, string>> = {
  Backquote: 'backtick grave tilde accent',
  Minus: 'hyphen dash underscore',
  Equal: 'equals plus',
  BracketLeft: 'left square bracket brace open',
  BracketRight: 'right square bracket brace close',
  Backslash: 'bar pipe',
  Semicolon: 'colon',
  Quote: 'apostrophe double quote',
  Comma: 'less than',
  Period: 'dot full stop greater than',
  Slash: 'question mark',
  IntlBackslash: 'angle bracket less greater 102nd',
  ContextMenu: 'menu application',
  Escape: 'esc leave',
  MediaPlayPause: 'play pause',
  MediaTrackNext: 'next track',
  MediaTrackPrevious: 'previous track',
};

/** The keys whose code, name or words have everything typed; those that begin with it come first. */
export function searchKeys(typed: string): readonly KeyRow[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const textOf = ({ code, name, legend, names, kind }: KeyRow) => {
    const spaced = code.replace(/([a-z])([A-Z0-9])/g, '$1 $2');
    return [spaced, code, name, legend, ...Object.values(names), kind, WORDS[code] ?? '']
      .join(' ')
      .toLowerCase();
  };
  const begins = (row: KeyRow) => (textOf(row).startsWith(words[0] ?? '') ? 0 : 1);
  return KEY_TABLE.filter((row) => words.every((word) => textOf(row).includes(word))).toSorted(
    (a, b) => begins(a) - begins(b),
  );
}
