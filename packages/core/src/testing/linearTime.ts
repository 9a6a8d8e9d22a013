/** What a text of a few kilobytes is made of, over and over: what readers look for, and blanks between. */
export const TRYING_PIECES = [
  ...[' ', '\t', '\n', '.', '-', '|', '`', '*', '_', '"', "'", ',', ';', ':', '+', '\\', '#', '/', '&'],
  ...['(', ')', '[', ']', '{', '}', '<', '>', '/*', '*/', '//', '->', ' - ', ' | ', '**', '``', '| |', '...'],
  ...['a', 'Ctrl+', 'then ', ' or ', '<td>', '<li>', '<kbd>', '0x', '05 ', '1. ', '- '],
] as const;

/** So much longer is the second text; a reader that is quadratic takes the square of it longer. */
const TIMES = 8;
/** Between eight and sixty-four, nearer to the latter: a busy computer takes a few times longer by itself. */
const MOST = 32;
/** What takes less is no hold-up, and too little to be measured: milliseconds. */
const LITTLE_MS = 100;

/**
 * Whether reading takes about so much longer as the text is longer. Only the two times of this run are compared, and the
 * least of several looks counts.
 *
 * @param textOf a text of a size: characters
 * @param size of the smaller one
 */
export function takesLinearTime(
  read: (text: string) => unknown,
  textOf: (size: number) => string,
  size: number,
  clock: () => number,
): boolean {
  const [small, large] = [textOf(size), textOf(size * TIMES)];
  const time = (text: string) => {
    const begun = clock();
    read(text);
    return clock() - begun;
  };
  for (let looks = 0; looks < 3; looks++) {
    const [short, long] = [time(small), time(large)];
    if (long < LITTLE_MS || long < short * MOST) return true;
  }
  return false;
}
