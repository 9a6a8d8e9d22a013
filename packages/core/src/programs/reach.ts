import { profileChain } from '../resolve/index.ts';
import {
  type Action,
  type Command,
  EVERYWHERE,
  isBlock,
  keyOf,
  type MacroStep,
  type Profile,
  type Setup,
  type Slot,
  slotIn,
} from '../setup/index.ts';
import { describeActionIn } from '../words/index.ts';
import { inRigOrder } from './rigOrder.ts';

/** By what a control reaches a command besides a binding of the profile itself. */
export type Through = 'intent' | 'macro' | 'menu';

/** A control that reaches a command. */
export interface Reach {
  /** In the column it was looked up in. */
  readonly slot: Slot;
  /** The profile that decides there: the column's own, what it is based on, or Everywhere. */
  readonly decidedBy: string;
  /** Null where it is bound as it is. */
  readonly through: { readonly kind: Through; readonly id: string } | null;
}

/** By command: the controls that reach it, in the order of the rig. */
export type ReachOf = ReadonlyMap<string, readonly Reach[]>;

/** What was found in a column, by what it was found in: an edit changes one of two hundred. */
const known = new WeakMap<Profile, { readonly of: readonly unknown[]; readonly reach: ReachOf }>();

/**
 * Which controls reach which commands while a profile applies. Looked up as the engine does, so that what a program sets
 * over Everywhere hides what is there; in each layer as with that layer alone over the base.
 */
export function reachOf(setup: Setup, id: string): ReachOf {
  const chain = profileChain(setup, id);
  const [column] = chain;
  if (!column) return new Map();
  const { devices, programs, commonCommands, macros, radialMenus, layers } = setup;
  const program = programs.find((each) => each.id === column.program);
  const of = [...chain, devices, program, commonCommands, macros, radialMenus, layers];
  const before = known.get(column);
  if (before && before.of.length === of.length && before.of.every((each, i) => each === of[i]))
    return before.reach;
  const reach = find(setup, column, chain);
  known.set(column, { of, reach });
  return reach;
}

/** All of it anew. */
function find(setup: Setup, column: Profile, chain: readonly Profile[]): ReachOf {
  const found = new Map<string, Reach[]>();
  const keys = new Set(chain.flatMap(({ bindings }) => Object.keys(bindings)));
  const slots = [...keys].map((key) => slotIn(column.id, key));
  for (const slot of inRigOrder(setup, slots)) {
    // As `resolveBehaviour` within one layer: what a layer leaves to the base is found there.
    const key = keyOf(slot);
    const owner = chain.find(({ bindings }) => bindings[key] !== undefined);
    const behaviour = owner?.bindings[key]?.behaviour;
    if (!owner || behaviour?.kind !== 'action') continue;
    const { target } = behaviour;
    if (target && target.program !== column.program) continue;
    for (const { command, through } of reached(setup, column, owner, behaviour.action)) {
      const list = found.get(command.id) ?? [];
      list.push({ slot, decidedBy: owner.id, through });
      found.set(command.id, list);
    }
  }
  return found;
}

/** A command with by what it is reached. */
interface Reached {
  readonly command: Command;
  readonly through: Reach['through'];
}

/** The commands an action runs in a column: its own, those of the menu it opens, those of the macro it runs. */
function reached(setup: Setup, column: Profile, owner: Profile, action: Action): readonly Reached[] {
  if (action.kind === 'macro') {
    return commandsOfMacro(setup, column, action.macro, new Set()).map((command) => {
      return { command, through: { kind: 'macro', id: action.macro } };
    });
  }
  if (action.kind === 'radial') {
    const items = setup.radialMenus.find(({ id }) => id === action.menu)?.items ?? [];
    return items.flatMap((item) => {
      if (item.action.kind === 'radial') return [];
      return reached(setup, column, owner, item.action).map(({ command }): Reached => {
        return { command, through: { kind: 'menu', id: action.menu } };
      });
    });
  }
  const { command } = describeActionIn(setup, column, owner, action);
  if (!command) return [];
  return [{ command, through: action.kind === 'intent' ? { kind: 'intent', id: action.intent } : null }];
}

/** The commands a macro's shortcuts run in a column, until it brings another program to the front. */
function commandsOfMacro(setup: Setup, column: Profile, id: string, inside: Set<string>): readonly Command[] {
  if (inside.has(id)) return [];
  inside.add(id);
  const found: Command[] = [];
  const walk = (steps: readonly MacroStep[]): boolean =>
    steps.every((step) => {
      if (step.skipped) return true;
      if (step.kind === 'focus') return step.program === column.program;
      if (isBlock(step)) return walk(step.steps);
      if (step.kind === 'macro') found.push(...commandsOfMacro(setup, column, step.macro, inside));
      if (step.kind === 'shortcut') {
        const { command } = describeActionIn(setup, column, column, {
          kind: 'shortcut',
          shortcut: step.shortcut,
        });
        if (command) found.push(command);
      }
      return true;
    });
  walk(setup.macros.find((macro) => macro.id === id)?.steps ?? []);
  return [...new Set(found)];
}

/** How many of a program's commands, or of the common ones in Everywhere, have a control. */
export function inReach(setup: Setup, profile: string, commands: readonly Command[]): number {
  const reach = reachOf(setup, profile);
  return commands.filter(({ id }) => reach.has(id)).length;
}

/** The profile whose reach tells of a list of commands: the program's main one, Everywhere for the common ones. */
export function columnOf(setup: Setup, program: string | null): string {
  if (program === null) return EVERYWHERE;
  return Object.values(setup.profiles).find((profile) => profile.program === program)?.id ?? EVERYWHERE;
}
