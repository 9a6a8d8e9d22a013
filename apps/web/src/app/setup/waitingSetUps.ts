import { PREFIX } from './keptEntries.ts';

/** The set-ups of which this browser keeps edits that are not saved yet: they are saved once one is opened. */
export function waitingSetUps(): ReadonlySet<string> {
  try {
    const names = Object.keys(localStorage).filter((name) => name.startsWith(PREFIX));
    return new Set(names.map((name) => name.slice(PREFIX.length).split(':')[0] ?? ''));
  } catch {
    // A forbidden store keeps none.
    return new Set();
  }
}
