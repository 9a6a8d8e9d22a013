import {
  type Edit,
  type LogEntry,
  type MacroStep,
  parseAddress,
  partsOf,
  type Setup,
} from '../setup/index.ts';
import { type EditNames, editWords, stepName } from '../words/index.ts';
import { doesWords } from './differenceWords.ts';

type Told = Pick<LogEntry, 'edit' | 'inverse' | 'role'>;

/** An entry of the log in words, as a history tells it; one that takes back or brings back another says so. */
export function entryWords(setup: Setup, entry: Told): string {
  const done = doneIn(entry);
  if (!done) return 'an edit that cannot be read any more';
  const words = editWords(setup, done.edit, namesFor(setup, done));
  switch (entry.role) {
    case 'do':
      return words;
    case 'undo':
      return `took back: ${words}`;
    case 'redo':
      return `did again: ${words}`;
  }
}

/** Everything that an entry of the log is about, each once. */
export function entryParts(setup: Setup, entry: Told): readonly string[] {
  const done = doneIn(entry);
  if (!done) return [];
  const names = namesFor(setup, done);
  return [...new Set(partsOf(done.edit).map((part) => editWords(setup, part, names)))];
}

/** An edit that is told, with the one that leads the other way. */
interface Done {
  readonly edit: Edit;
  readonly back: Edit;
}

/** What was taken back is called as it was done. */
function doneIn({ edit, inverse, role }: Told): Done | null {
  if (!edit) return null;
  const back = inverse ?? edit;
  return role === 'undo' ? { edit: back, back: edit } : { edit, back };
}

function namesFor(setup: Setup, { back }: Done): EditNames {
  return {
    step: stepName,
    gone: (at) => {
      const added = partsOf(back).find((part) => part.kind === 'add' && part.at === at);
      if (added?.kind !== 'add') return null;
      if (parseAddress(at)?.kind === 'step') return stepName(setup, added.item as MacroStep);
      return text((added.item as { readonly name?: unknown }).name);
    },
    was: (at) => {
      const set = partsOf(back).find((part) => part.kind === 'set' && part.at === at);
      return set?.kind === 'set' ? text(set.fields.name) : null;
    },
    does: ({ profile }, behaviour) => doesWords(setup, profile, { behaviour }),
  };
}

const text = (value: unknown): string | null => (typeof value === 'string' ? value : null);
