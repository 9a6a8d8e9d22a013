import { readFileSync } from 'node:fs';
import { readSetupDocument } from '@nimble-lever/core/formats';
import type { Setup } from '@nimble-lever/core/setup';
import { formatProblemWords } from '@nimble-lever/core/words';

/** What was asked cannot be done; the message says why, without a stack. */
export class Refused extends Error {}

/** Reads a text file, or says why not. */
export function readText(file: string): string {
  try {
    return readFileSync(file, 'utf8');
  } catch (error) {
    const missing = (error as NodeJS.ErrnoException).code === 'ENOENT';
    throw new Refused(`${file}: ${missing ? 'There is no such file.' : 'It cannot be read.'}`);
  }
}

/** Reads a set-up document, or says everything that is wrong with it. */
export function readSetup(file: string): Setup {
  const read = readSetupDocument(readText(file));
  if (read.ok) return read.value;
  throw new Refused(read.problem.map((problem) => `${file}: ${formatProblemWords(problem)}`).join('\n'));
}
