import type { Action } from './action.ts';
import { hasNamed, namedByAction, type Reference } from './references.ts';
import type { Refusal } from './refusal.ts';
import { commandOf, type Profile, type Setup } from './setup.ts';

/** Whether a profile may bind a command. Given once where many bindings of a profile are checked. */
export type KnowsCommand = (id: string) => boolean;

/** Knows the commands of a profile's program and the common ones. */
export function commandsKnown(setup: Setup, profile: Profile): KnowsCommand {
  const program = setup.programs.find(({ id }) => id === profile.program);
  const ids = new Set([...(program?.commands ?? []), ...setup.commonCommands].map(({ id }) => id));
  return (id) => ids.has(id);
}

/** What an action refers to that is not there, or null. */
export function checkAction(
  setup: Setup,
  profile: Profile,
  action: Action,
  knows: KnowsCommand = (id) => commandOf(setup, profile, id) !== null,
): Refusal | null {
  for (const named of namedByAction(action)) {
    const isThere = named.kind === 'command' ? knows(named.id) : hasNamed(setup, named);
    if (!isThere) return missing(named, profile.id);
  }
  return action.kind === 'page' ? checkPageKind(setup, action) : null;
}

/** A folder is opened, a set chosen. */
function checkPageKind(setup: Setup, { change, page }: Extract<Action, { kind: 'page' }>): Refusal | null {
  const named = setup.pages.find(({ id }) => id === page);
  if (!named || named.kind === (change === 'open' ? 'folder' : 'set')) return null;
  return { code: 'page-kind', page: named.name, kind: named.kind };
}

/** The refusal for something that is named and not there. */
export function missing({ kind, id }: Reference, profile: string): Refusal {
  switch (kind) {
    case 'command':
      return { code: 'unknown-command', command: id, profile };
    case 'macro':
      return { code: 'unknown-macro', macro: id };
    case 'layer':
      return { code: 'unknown-layer', layer: id };
    case 'page':
      return { code: 'unknown-page', page: id };
    case 'profile':
      return { code: 'unknown-profile', profile: id };
    case 'device':
      return { code: 'unknown-device', device: id };
    case 'program':
      return { code: 'unknown-program', program: id };
    case 'radial-menu':
      return { code: 'unknown-radial-menu', menu: id };
  }
}

/** A refusal where a set-up has no such program. */
export function checkProgram(setup: Setup, program: string): Refusal | null {
  return hasNamed(setup, { kind: 'program', id: program }) ? null : { code: 'unknown-program', program };
}
