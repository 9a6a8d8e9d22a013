import type { Action } from '../action.ts';
import { slotIn } from '../binding.ts';
import type { Address } from '../edits/address.ts';
import { itemAt } from '../edits/address.ts';
import type { SingleEdit } from '../edits/edit.ts';
import { isBlock, type MacroStep } from '../macro.ts';
import { type Command, keysByOf, menuOwner, type Profile, type Program, type Setup } from '../setup.ts';

/** A shortcut that stands somewhere in a set-up, and the edit that puts another in its place. */
export interface ShortcutPlace {
  /** In our notation; a command's may have several steps. */
  readonly shortcut: string;
  /** What reads it goes by. */
  readonly keysBy: Program['keysBy'];
  /** The command whose shortcut it is, with its program (null for a common one); null where it is an action's own. */
  readonly command: { readonly command: Command; readonly program: Program | null } | null;
  readonly replace: (shortcut: string) => SingleEdit;
}

/** Every shortcut of a set-up: those of commands first, then those that bindings, menus and macros have of their own. */
export function everyShortcut(setup: Setup): readonly ShortcutPlace[] {
  return [
    ...setup.commonCommands.map((command) => ofCommand(null, command)),
    ...setup.programs.flatMap((program) => program.commands.map((command) => ofCommand(program, command))),
    ...ofBindings(setup),
    ...ofMenus(setup),
    ...setup.macros.flatMap(({ id, steps }) => ofSteps(itemAt.macro(id), steps)),
  ];
}

/** Where a command stands. */
export function commandAt(program: Pick<Program, 'id'> | null, { id }: Pick<Command, 'id'>): Address {
  return program === null ? `commonCommands/${id}` : `${itemAt.program(program.id)}/commands/${id}`;
}

function ofCommand(program: Program | null, command: Command): ShortcutPlace {
  return {
    shortcut: command.shortcut,
    keysBy: command.keysBy ?? program?.keysBy ?? 'character',
    command: { command, program },
    replace: (shortcut) => ({ kind: 'set', at: commandAt(program, command), fields: { shortcut } }),
  };
}

/** What was found in a profile, by what its program goes by: an edit changes one of two hundred. */
const known = new WeakMap<Profile, { readonly keysBy: string; readonly places: readonly ShortcutPlace[] }>();

function ofBindings(setup: Setup): readonly ShortcutPlace[] {
  return Object.values(setup.profiles).flatMap((profile) => {
    const keysBy = keysByOf(setup, profile);
    const before = known.get(profile);
    if (before?.keysBy === keysBy) return before.places;
    const places = ofProfile(profile, keysBy);
    known.set(profile, { keysBy, places });
    return places;
  });
}

function ofProfile(profile: Profile, keysBy: Program['keysBy']): readonly ShortcutPlace[] {
  return Object.entries(profile.bindings).flatMap(([key, { behaviour }]) => {
    const action =
      behaviour.kind === 'action' ? behaviour.action : behaviour.kind === 'off' ? behaviour.sends : null;
    if (action?.kind !== 'shortcut' && action?.kind !== 'sequence') return [];
    const at = itemAt.binding(slotIn(profile.id, key));
    return ofAction(action, keysBy, at, behaviour.kind === 'off' ? 'behaviour.sends' : 'behaviour.action');
  });
}

function ofMenus(setup: Setup): readonly ShortcutPlace[] {
  return setup.radialMenus.flatMap((menu) => {
    const owner = menuOwner(setup, menu);
    const keysBy = owner ? keysByOf(setup, owner) : 'character';
    return menu.items.flatMap(({ id, action }) =>
      ofAction(action, keysBy, `${itemAt.radialMenu(menu.id)}/items/${id}`, 'action'),
    );
  });
}

function ofAction(
  action: Action,
  keysBy: Program['keysBy'],
  at: Address,
  field: string,
): readonly ShortcutPlace[] {
  const set = (value: Action): SingleEdit => ({ kind: 'set', at, fields: { [field]: value } });
  if (action.kind === 'shortcut') {
    const replace = (shortcut: string) => set({ ...action, shortcut });
    return [{ shortcut: action.shortcut, keysBy, command: null, replace }];
  }
  if (action.kind !== 'sequence') return [];
  // As one, so that two of its steps can be replaced by one edit.
  const replace = (steps: string) => set({ ...action, shortcuts: steps.split(/(?<=\S), /) });
  return [{ shortcut: action.shortcuts.join(', '), keysBy, command: null, replace }];
}

/** A macro's steps go to whichever program is in front; most of them read characters. */
function ofSteps(at: Address, steps: readonly MacroStep[]): readonly ShortcutPlace[] {
  return steps.flatMap((step): readonly ShortcutPlace[] => {
    const own = `${at}/steps/${step.id}`;
    const inside = isBlock(step) ? ofSteps(own, step.steps) : [];
    const field = step.kind === 'shortcut' ? 'shortcut' : 'keys';
    const shortcut = step.kind === 'shortcut' ? step.shortcut : 'keys' in step ? step.keys : null;
    if (shortcut === null) return inside;
    const replace = (value: string): SingleEdit => ({ kind: 'set', at: own, fields: { [field]: value } });
    return [{ shortcut, keysBy: 'character', command: null, replace }, ...inside];
  });
}
