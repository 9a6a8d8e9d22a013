import { legendOf } from '../keys/index.ts';
import type { MacroFinding } from '../macros/index.ts';
import type { WindowAsked } from '../setup/index.ts';
import { buttonName } from './actions.ts';
import { tidy } from './numbers.ts';

/** A finding in a macro as a sentence: what it is, and why it is worth a look. */
export function macroFindingWords(finding: MacroFinding): string {
  switch (finding.kind) {
    case 'nothing-waits':
      return finding.window
        ? `It brings up ${windowAskedWords(finding.window)}, and nothing waits for that: on a slow day the next step comes too early.`
        : 'It may open a window, and nothing waits for that: on a slow day the next step comes too early.';
    case 'stops-here':
      return 'It brings another program to the front, and with that the macro stops. Wait for its window, or let the macro go on in other programs.';
    case 'stays-down':
      return `${downWords(finding.what)} is put down and comes up only at the end of the macro.`;
    case 'outside':
      return 'This place lies outside its window.';
    case 'long-wait':
      return `It waits for ${tidy(finding.ms / 1000)} s, whatever happens. A wait for a window ends when that comes.`;
    case 'untypable-text':
      return `“${finding.character}” cannot be typed on ${finding.layout}; a program that does not take text as such misses it.`;
    case 'broken-field':
      return `${finding.field} cannot be filled in as it is written, and is typed as it stands.`;
    case 'untypable-keys':
      return `${finding.shortcut} cannot be typed on ${finding.layout}, so nothing is sent.`;
    case 'never-ends':
      return 'It goes round and round until it is pressed again, a hundred times a second: nothing in it waits.';
    case 'nothing-remembered':
      return 'It puts the pointer back, but nothing before has remembered where it was.';
  }
}

/** A key or a pointer button. */
function downWords(what: string | number): string {
  return typeof what === 'number' ? buttonName(what) : legendOf(what);
}

/** The window that is waited for: `the window “Colours”`, `a window of larkframe`. */
export function windowAskedWords({ executable, class: kind, title }: WindowAsked): string {
  if (title) return `the window “${title.text}”`;
  const of = executable?.text ?? kind?.text;
  return of === undefined ? 'a window' : `a window of ${of}`;
}
