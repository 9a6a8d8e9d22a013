import {
  type Edit,
  type LogEntry,
  type MacroStep,
  parseAddress,
  partsOf,
  type Setup,
} from '../setup/index.ts';
import { type EditNames, editWords, stepName } from '../words/index.ts';
import { doesWords, fieldName, fieldWords } from './differenceWords.ts';

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

/** An edit that is told, with the one that leads the other way, where there is one. */
interface Done {
  readonly edit: Edit;
  readonly back: Edit | null;
}

/** What was taken back is called as it was done. */
function doneIn({ edit, inverse, role }: Told): Done | null {
  if (!edit) return null;
  return role === 'undo' && inverse ? { edit: inverse, back: edit } : { edit, back: inverse };
}

function namesFor(setup: Setup, { back }: Done): EditNames {
  return {
    step: stepName,
    gone: (at) => {
      const added = back && partsOf(back).find((part) => part.kind === 'add' && part.at === at);
      if (added?.kind !== 'add') return null;
      if (parseAddress(at)?.kind === 'step') return stepName(setup, added.item as MacroStep);
      return text((added.item as { readonly name?: unknown }).name);
    },
    was: (at) => text(fieldsBefore(back, at).name),
    fields: ({ at, fields }) => {
      const before = fieldsBefore(back, at);
      const told = Object.entries(fields).map(([path, value]) =>
        Object.hasOwn(before, path) ? fieldWords(path, before[path], value) : fieldName(path),
      );
      const more = told.length > FIELDS_TOLD ? [`${told.length - FIELDS_TOLD} more`] : [];
      return [...told.slice(0, FIELDS_TOLD), ...more].join(', ');
    },
    does: ({ profile }, behaviour) => doesWords(setup, profile, { behaviour }),
  };
}

/** In a line there is room for so many. */
const FIELDS_TOLD = 2;

/** What an edit sets at an address, by path. */
function fieldsBefore(edit: Edit | null, at: string): Readonly<Record<string, unknown>> {
  const set = edit && partsOf(edit).find((part) => part.kind === 'set' && part.at === at);
  return set?.kind === 'set' ? set.fields : {};
}

const text = (value: unknown): string | null => (typeof value === 'string' ? value : null);
