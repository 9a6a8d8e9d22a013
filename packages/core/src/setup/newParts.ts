import type { Macro } from './macro.ts';
import type { Command, Profile, Program } from './setup.ts';

/** A command with nothing but what is given. */
export function newCommand(
  given: Pick<Command, 'id' | 'name' | 'shortcut' | 'family'> & Partial<Command>,
): Command {
  return { intent: null, keysBy: null, onLayout: {}, risky: false, note: null, ...given };
}

/** A program with nothing but what is given. */
export function newProgram(given: Pick<Program, 'id' | 'name'> & Partial<Program>): Program {
  return { keysBy: 'character', colour: null, icon: null, rules: [], commands: [], ...given };
}

/** A profile with nothing set. */
export function newProfile(given: Pick<Profile, 'id' | 'program'> & Partial<Profile>): Profile {
  return { name: null, rules: [], basedOn: null, bindings: {}, ...given };
}

/** A macro that runs once, with nothing but what is given. */
export function newMacro(given: Pick<Macro, 'id' | 'name'> & Partial<Macro>): Macro {
  return {
    program: null,
    steps: [],
    run: 'times',
    times: 1,
    again: 'ignore',
    goesOn: false,
    pace: 0,
    ...given,
  };
}
