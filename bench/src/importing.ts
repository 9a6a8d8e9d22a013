import { NOTATION } from '@nimble-lever/core/keys';
import { findColumns, planWholeImport, readList } from '@nimble-lever/core/programs';
import { demoSetup } from '@nimble-lever/core/setup';

/** What taking in a list came to. */
export interface Importing {
  readonly lines: number;
  /** Milliseconds, the median of several. */
  readonly ms: number;
  /** How often longer than only taking the text apart at its tabs and line breaks takes, in the same run. */
  readonly ratio: number;
}

/** Times the reading and planning of a list of 5,000 commands, as a help page gives it. */
export function timeImport(times: number): Importing {
  const lines = 5000;
  const text = Array.from({ length: lines }, (_, i) => {
    const key = String.fromCharCode(65 + (i % 26));
    return `Command number ${i}\tCtrl+${i % 2 ? 'Shift+' : ''}${key}\tEdit\tsaid of ${i}`;
  }).join('\n');
  const setup = demoSetup();
  const own = medianOf(times, () => {
    const list = readList(text);
    const columns = findColumns(list.lines, NOTATION);
    planWholeImport(setup, list, { program: 'larkframe', columns, proposes: true });
  });
  const bare = medianOf(times, () => text.split('\n').map((line) => line.split('\t')));
  return { lines, ms: own, ratio: own / bare };
}

function medianOf(times: number, call: () => unknown): number {
  const took = Array.from({ length: times }, () => {
    const begun = performance.now();
    call();
    return performance.now() - begun;
  }).toSorted((a, b) => a - b);
  return took[Math.floor(times / 2)] ?? 0;
}
