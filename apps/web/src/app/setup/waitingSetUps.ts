import { PREFIX } from './keptEntries.ts';

/** The set-ups of which this browser keeps edits that are not saved yet: they are saved once one is opened. */
export function waitingSetUps(): ReadonlySet<string> {
  const names = Object.keys(localStorage).filter((name) => name.startsWith(PREFIX));
  return new Set(names.map((name) => name.slice(PREFIX.length).split(':')[0] ?? ''));
}
