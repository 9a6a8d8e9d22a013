import { type Control, triggersOf } from '../devices/index.ts';
import { codesOf, parseShortcut } from '../keys/index.ts';
import { indexRules, profileChain, type RuleIndex } from '../resolve/index.ts';
import {
  type Action,
  commandOf,
  EVERYWHERE,
  type Profile,
  type Program,
  type Setup,
} from '../setup/index.ts';
import type { Effect } from './effect.ts';

interface CompiledProfile {
  readonly source: Profile;
  readonly commandsOf: Program['commands'] | null;
  /** By slot key; only bindings that send something. */
  readonly effects: ReadonlyMap<string, Effect>;
  /** Uses beyond press and turn, as `device/control/trigger`, that are set in any layer. */
  readonly uses: readonly string[];
}

/** A set-up made ready for events: look-ups only, nothing to walk. */
export interface Compiled {
  readonly setup: Setup;
  readonly rules: RuleIndex;
  readonly controls: ReadonlyMap<string, Control>;
  readonly profiles: ReadonlyMap<string, CompiledProfile>;
  readonly chains: ReadonlyMap<string, readonly Profile[]>;
  /** Uses beyond press and turn that are set in any profile: most controls have none, and need no look-up. */
  readonly uses: ReadonlySet<string>;
}

/** The key of a control across devices. */
export function controlKey(device: string, control: string): string {
  return `${device}/${control}`;
}

/**
 * Compiles a set-up. Given what was compiled before an edit, parts the edit did not touch are kept.
 */
export function compile(setup: Setup, previous: Compiled | null = null): Compiled {
  const before = previous?.setup;
  const commonSame = before?.commonCommands === setup.commonCommands;
  const profiles = new Map<string, CompiledProfile>();
  const chains = new Map<string, readonly Profile[]>();
  for (const profile of Object.values(setup.profiles)) {
    const commandsOf = setup.programs.find(({ id }) => id === profile.program)?.commands ?? null;
    const old = previous?.profiles.get(profile.id);
    const same = commonSame && old?.source === profile && old.commandsOf === commandsOf;
    profiles.set(profile.id, same ? old : compileProfile(setup, profile, commandsOf));
    chains.set(profile.id, profileChain(setup, profile.id));
  }
  const rulesSame = before?.programs === setup.programs && before.profiles === setup.profiles;
  return {
    setup,
    rules: previous && rulesSame ? previous.rules : indexRules(setup),
    controls: previous && before?.devices === setup.devices ? previous.controls : controlsOf(setup),
    profiles,
    chains,
    uses: new Set([...profiles.values()].flatMap(({ uses }) => uses)),
  };
}

function controlsOf(setup: Setup): ReadonlyMap<string, Control> {
  return new Map(
    setup.devices.flatMap((device) =>
      device.controls
        .filter((control) => triggersOf(control).length > 0)
        .map((control) => [controlKey(device.id, control.id), control]),
    ),
  );
}

function compileProfile(
  setup: Setup,
  source: Profile,
  commandsOf: CompiledProfile['commandsOf'],
): CompiledProfile {
  const keys = Object.keys(source.bindings).filter((key) =>
    /\/(hold|double-press|pressed-clockwise|pressed-anticlockwise)$/.test(key),
  );
  const uses = keys.map((key) => key.slice(key.indexOf('/') + 1));
  return { source, commandsOf, effects: effectsOf(setup, source), uses };
}

function effectsOf(setup: Setup, profile: Profile): ReadonlyMap<string, Effect> {
  const effects = new Map<string, Effect>();
  for (const [key, { behaviour }] of Object.entries(profile.bindings)) {
    if (behaviour.kind !== 'action') continue;
    const effect = effectOf(setup, profile, behaviour.action);
    if (effect) effects.set(key, effect);
  }
  return effects;
}

function effectOf(setup: Setup, profile: Profile, action: Action): Effect | null {
  if (action.kind === 'wheel') return { kind: 'wheel', ticks: action.ticks };
  const shortcut =
    action.kind === 'shortcut' ? action.shortcut : commandOf(setup, profile, action.command)?.shortcut;
  const parsed = parseShortcut(shortcut ?? '');
  return parsed.ok ? { kind: 'keys', codes: codesOf(parsed.value) } : null;
}

/** The profile chain for a profile; Everywhere's where the profile is no longer there. */
export function chainFor(compiled: Compiled, profile: string): readonly Profile[] {
  return compiled.chains.get(profile) ?? compiled.chains.get(EVERYWHERE) ?? [];
}
