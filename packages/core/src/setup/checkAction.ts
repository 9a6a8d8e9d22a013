import type { Action } from './action.ts';
import type { Refusal } from './refusal.ts';
import { commandOf, type Profile, type Setup } from './setup.ts';

/** What an action refers to that is not there, or null. */
export function checkAction(setup: Setup, profile: Profile, action: Action): Refusal | null {
  switch (action.kind) {
    case 'command': {
      if (commandOf(setup, profile, action.command)) return null;
      return { code: 'unknown-command', command: action.command, profile: profile.id };
    }
    case 'macro':
      return has(setup.macros, action.macro) ? null : { code: 'unknown-macro', macro: action.macro };
    case 'layer':
      return has(setup.layers, action.layer) ? null : { code: 'unknown-layer', layer: action.layer };
    case 'page': {
      const { page } = action;
      return page === null || has(setup.layers, page) ? null : { code: 'unknown-layer', layer: page };
    }
    case 'profile': {
      const gone = action.profiles.find((id) => !setup.profiles[id]);
      return gone === undefined ? null : { code: 'unknown-profile', profile: gone };
    }
    case 'speed':
    case 'computer': {
      const { device } = action;
      return device === null || has(setup.devices, device) ? null : { code: 'unknown-device', device };
    }
    case 'program':
      return checkProgram(setup, action.program);
    case 'radial':
      return has(setup.radialMenus, action.menu) ? null : { code: 'unknown-radial-menu', menu: action.menu };
    default:
      return null;
  }
}

/** A refusal where a set-up has no such program. */
export function checkProgram(setup: Setup, program: string): Refusal | null {
  return has(setup.programs, program) ? null : { code: 'unknown-program', program };
}

function has(list: readonly { readonly id: string }[], id: string): boolean {
  return list.some((item) => item.id === id);
}
