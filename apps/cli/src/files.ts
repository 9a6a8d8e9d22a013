import { readFileSync } from 'node:fs';
import { readSetupDocument, type SetupFile } from '@nimble-lever/core/formats';
import type { Setup } from '@nimble-lever/core/setup';
import { fileText, tooLargeWords } from '@nimble-lever/core/vault';
import { formatProblemWords } from '@nimble-lever/core/words';

/** What was asked cannot be done; the message says why, without a stack. */
export class Refused extends Error {}

/** The server that would do it does not answer. */
export class NotThere extends Error {}

/** The bytes of a file, or why not. */
export function readBytesOf(file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new Refused(
      `${file}: ${WHY_NOT[(error as NodeJS.ErrnoException).code ?? ''] ?? 'It cannot be read.'}`,
    );
  }
}

/**
 * What the operating system's codes (POSIX `errno`) mean to the person at the terminal; other codes are given
 * as they are.
 */
const WHY_NOT: Readonly<Record<string, string>> = {
  ENOENT: 'There is no such file.',
  EISDIR: 'This is a folder, not a file.',
  EACCES: 'You may not read this file.',
};

/** By which byte-order mark a text says how its characters are written (Unicode Standard, chapter 23.8). */
const MARKS = [
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
] as const;

/** Reads a text file: UTF-8, or UTF-16 where a byte-order mark says so. */
export function readText(file: string): string {
  return decodedText(file, readBytesOf(file));
}

function decodedText(file: string, bytes: Buffer): string {
  const marked = MARKS.find(([, mark]) => mark.every((byte, i) => bytes[i] === byte));
  const encoding = marked?.[0] ?? 'utf-8';
  try {
    return new TextDecoder(encoding, { fatal: true }).decode(bytes);
  } catch {
    throw new Refused(`${file}: This is not text in ${encoding.toUpperCase()}. Save it as UTF-8.`);
  }
}

/** Reads the set-up of a document, or says everything that is wrong with it. */
export function readSetup(file: string): Setup {
  return readSetupFile(file).setup;
}

/** The same with the pictures of its faces, for who writes it again. */
export function readSetupFile(file: string): SetupFile {
  const read = readSetupDocument(textOf(file));
  if (read.ok) return read.value;
  throw new Refused(read.problem.map((problem) => `${file}: ${formatProblemWords(problem)}`).join('\n'));
}

/** The text of a set-up's file, which may be packed as the Vault writes large ones. */
function textOf(file: string): string {
  const bytes = readBytesOf(file);
  const why = tooLargeWords(bytes.length);
  if (why !== null) throw new Refused(`${file}: ${why}`);
  const isPacked = bytes.subarray(0, 2).toString('latin1') === 'PK';
  if (!isPacked) return decodedText(file, bytes);
  const read = fileText(bytes);
  if ('why' in read) throw new Refused(`${file}: ${read.why}`);
  return read.text;
}
