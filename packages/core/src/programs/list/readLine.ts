import { cutName, freeId, nameSchema } from '../../devices/index.ts';
import {
  formatSteps,
  parsePointer,
  parseSteps,
  type ShortcutProblem,
  type TypedAt,
} from '../../keys/index.ts';
import { ok, type Result, refuse } from '../../result.ts';
import { type Command, noteSchema } from '../../setup/index.ts';
import { familyOf } from '../propose.ts';
import type { ColumnRole } from './columns.ts';
import type { ListLine } from './listLine.ts';
import { alternatives } from './plainLines.ts';

/** Why a line becomes no command. */
export type LineProblem =
  | { readonly code: 'no-name' | 'no-shortcut' }
  | { readonly code: 'bad-name'; readonly text: string }
  | { readonly code: 'bad-shortcut'; readonly text: string; readonly problem: ShortcutProblem }
  | { readonly code: 'pointer'; readonly text: string }
  | { readonly code: 'twice'; readonly line: number }
  | { readonly code: 'too-many'; readonly limit: number };

/** What a line says of a command; what it does not say is not there. */
export type LineCommand = Pick<Command, 'name' | 'shortcut'> & Partial<Omit<Command, 'id'>>;

/** What a list may say for yes. */
const YES = /^(?:yes|y|true|1|x|ja|oui|sí|✓|✔)$/i;

/** Whether a cell says yes. */
export function isYes(text: string): boolean {
  return YES.test(text.trim());
}

/** Reads a line by what its columns hold. */
export function readLine(
  line: ListLine,
  roles: readonly ColumnRole[],
  at: TypedAt,
): Result<LineCommand, LineProblem> {
  if (line.given) return ok(line.given as LineCommand);
  const cell = (role: ColumnRole) =>
    (line.cells[roles.indexOf(role)] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  const written = cell('name');
  if (written === '') return refuse({ code: 'no-name' });
  const name = nameSchema.safeParse(cutName(written.replace(/\s+/g, ' ')));
  if (!name.success) return refuse({ code: 'bad-name', text: written });
  const [keys, ...others] = alternatives(cell('shortcut'));
  if (keys === undefined) return refuse({ code: 'no-shortcut' });
  const parsed = parseSteps(keys, at);
  if (!parsed.ok) {
    const isPointer = parsePointer(keys, at) !== null;
    return refuse(
      isPointer
        ? { code: 'pointer', text: keys }
        : { code: 'bad-shortcut', text: keys, problem: parsed.problem },
    );
  }
  const family = familyOf(cell('family'));
  const intent = cell('intent');
  // Nothing of the line is lost: a name that was cut stands whole in the note, and so do other keys for the same.
  const notes = [
    cell('note'),
    ...(name.data === written.replace(/\s+/g, ' ') ? [] : [written]),
    ...(others.length > 0 ? [`Also ${others.join(', ')}`] : []),
  ];
  const note = noteSchema.safeParse(notes.filter(Boolean).join('\n').slice(0, 1000));
  return ok({
    name: name.data,
    shortcut: formatSteps(parsed.value),
    ...(family && { family }),
    ...(intent && { intent: freeId(intent, new Set(), 'intent') }),
    ...(roles.includes('risky') && { risky: isYes(cell('risky')) }),
    ...(note.success && { note: note.data }),
  });
}
