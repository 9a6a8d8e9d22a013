import {
  type Control,
  type DeviceSettings,
  foldPhrase,
  TRIGGERS,
  type Trigger,
  triggersOf,
  tunedControl,
} from '../devices/index.ts';
import type { Chords, NoKey } from '../keys/layouts/index.ts';
import { indexRules, profileChain, type RuleIndex } from '../resolve/index.ts';
import type { Result } from '../result.ts';
import {
  type Command,
  EVERYWHERE,
  everyStep,
  type Macro,
  type Profile,
  type Program,
  type Setup,
  slotIn,
} from '../setup/index.ts';
import { plainly, sendingOf } from './compileEffect.ts';
import { type CompiledMacro, compileMacro } from './compileMacro.ts';
import { type CompiledMenu, compileMenu } from './compileMenu.ts';
import { type CompiledPages, compilePages } from './compilePages.ts';
import type { Sending } from './effect.ts';
import { type Keyboards, US_KEYBOARDS } from './keyboards.ts';
import type { ResolvedUse } from './state.ts';

/** A profile made ready: what an event needs, found by one lookup. */
interface CompiledProfile {
  /** What it was made from, to be known again after an edit. */
  readonly source: Profile;
  /** Of its program; null for Everywhere. */
  readonly commandsOf: Program['commands'] | null;
  /** By slot key; only bindings that send something. */
  readonly sendings: ReadonlyMap<string, Sending>;
  /** By control key: which triggers are set in any layer, a bit each in the order of `TRIGGERS`. */
  readonly uses: ReadonlyMap<string, number>;
}

/** A control made ready: tuned by its device’s settings. */
export interface CompiledControl {
  /** `device/control`, made once so that look-ups need not hash it anew. */
  readonly key: string;
  readonly device: string;
  readonly control: Control;
  readonly settings: DeviceSettings;
  /** What it does by itself. */
  readonly natives: ReadonlyMap<Trigger, Sending>;
  /** The key of the same device's pen tip, for a pen's switch. */
  readonly tip: string | null;
}

/** What a control's triggers do in a profile and some layers and pages. */
export interface FoundUses {
  readonly profile: string;
  readonly layers: readonly string[];
  /** In the order of `TRIGGERS`; undefined where it was not asked for yet. */
  readonly byTrigger: (ResolvedUse | undefined)[];
  /** Which are set at all: a bit each. */
  readonly uses: number;
}

/** The layers and pages that a device is looked up in, and what they were made of. */
export interface MadeLayers {
  readonly on: readonly string[];
  readonly folder: string | null;
  readonly set: string | null;
  readonly made: readonly string[];
}

/** A set-up made ready for events: look-ups only, nothing to walk. */
export interface Compiled {
  /** The set-up it was made from. */
  readonly setup: Setup;
  /** Rules by executable, so that a thousand are not tried at each change of front. */
  readonly rules: RuleIndex;
  /** By device, then control. */
  readonly controls: ReadonlyMap<string, ReadonlyMap<string, CompiledControl>>;
  /** By device. */
  readonly settings: ReadonlyMap<string, DeviceSettings>;
  /** Controls by what is said to use them, folded. */
  readonly phrases: ReadonlyMap<string, CompiledControl>;
  readonly profiles: ReadonlyMap<string, CompiledProfile>;
  readonly macros: ReadonlyMap<string, CompiledMacro>;
  readonly menus: ReadonlyMap<string, CompiledMenu>;
  readonly pages: CompiledPages;
  /** By program, then intent: its first command of that. */
  readonly intents: ReadonlyMap<string, ReadonlyMap<string, Command>>;
  /** Programs that read keys by their place. */
  readonly readsPlaces: ReadonlySet<string>;
  /** The keyboards it is compiled for. */
  readonly keyboards: Keyboards;
  /** What was worked out before, filled as it is asked for: only ever a saving of time. */
  readonly memo: {
    /** By profile: the profiles looked at for it. */
    readonly chains: Map<string, readonly Profile[]>;
    /** By layout, what the program goes by, and shortcut: the keys to press, or the first that is not there. */
    readonly keys: Map<string, Result<Chords, NoKey>>;
    /** By control: where it was looked up last, and what was found there and on the pages it was looked up on before. */
    readonly uses: Map<CompiledControl, { last: FoundUses; readonly all: Map<readonly string[], FoundUses> }>;
    /** By device: the layers and pages it was looked up in last, and those of other pages while the same layers are on. */
    readonly layers: Map<string, { last: MadeLayers; readonly all: Map<string, MadeLayers> }>;
    /** By such a list, then by page: the same list for a cell of a page that the one which shows is based on. */
    readonly onBases: WeakMap<readonly string[], Map<string, readonly string[]>>;
  };
}

/** The key of a control across devices. */
export function controlKey(device: string, control: string): string {
  return `${device}/${control}`;
}

/**
 * Compiles a set-up for the keyboards of the computers that receive what it sends. Given what was compiled before an
 * edit or for other keyboards, parts that did not change are kept.
 */
export function compile(
  setup: Setup,
  previous: Compiled | null = null,
  keyboards: Keyboards = US_KEYBOARDS,
): Compiled {
  const before = previous?.setup;
  const commonSame = before?.commonCommands === setup.commonCommands;
  const devicesSame = before?.devices === setup.devices;
  const programs = new Map(setup.programs.map((program) => [program.id, program]));
  const controls = previous && devicesSame ? previous.controls : controlsOf(setup);
  const profiles = new Map<string, CompiledProfile>();
  for (const profile of Object.values(setup.profiles)) {
    const commandsOf = programs.get(profile.program ?? '')?.commands ?? null;
    const old = previous?.profiles.get(profile.id);
    const kept = commonSame && devicesSame && old?.commandsOf === commandsOf ? old : undefined;
    const same = kept?.source === profile;
    profiles.set(profile.id, same ? kept : compileProfile(setup, controls, profile, commandsOf, kept));
  }
  const macrosSame = previous && before?.macros === setup.macros;
  const menusSame =
    previous &&
    commonSame &&
    before?.radialMenus === setup.radialMenus &&
    // Their items may be commands of programs.
    before.programs === setup.programs;
  return {
    setup,
    rules: indexRules(setup, previous?.rules),
    controls,
    settings: new Map(setup.devices.map(({ id, settings }) => [id, settings])),
    phrases: previous && devicesSame ? previous.phrases : phrasesOf(controls),
    profiles,
    macros: macrosSame ? previous.macros : byId(setup.macros, macrosOf(setup, previous)),
    menus: menusSame ? previous.menus : byId(setup.radialMenus, (menu) => compileMenu(setup, menu)),
    pages: previous?.pages.source === setup.pages ? previous.pages : compilePages(setup),
    intents: previous && before?.programs === setup.programs ? previous.intents : intentsOf(setup),
    readsPlaces: new Set(setup.programs.filter(({ keysBy }) => keysBy === 'place').map(({ id }) => id)),
    keyboards,
    memo: {
      chains: new Map(),
      uses: new Map(),
      layers: new Map(),
      onBases: new WeakMap(),
      keys: previous?.memo.keys ?? new Map(),
    },
  };
}

/** Lays macros out; one that is the same object as before, and runs no other, is laid out already. */
function macrosOf(setup: Setup, previous: Compiled | null | undefined): (macro: Macro) => CompiledMacro {
  const before = new Map(previous?.setup.macros.map((macro) => [macro.id, macro]));
  return (macro) => {
    const isSame =
      before.get(macro.id) === macro && everyStep(macro.steps).every(({ kind }) => kind !== 'macro');
    return (isSame ? previous?.macros.get(macro.id) : undefined) ?? compileMacro(setup, macro);
  };
}

/** The commands of programs by their intents. */
function intentsOf({ programs }: Setup): Compiled['intents'] {
  return byId(programs, ({ commands }) => {
    const found = new Map<string, Command>();
    for (const command of commands)
      if (command.intent !== null && !found.has(command.intent)) found.set(command.intent, command);
    return found;
  });
}

/** A list as a map from its ids. */
function byId<Item extends { readonly id: string }, Made>(list: readonly Item[], make: (item: Item) => Made) {
  return new Map(list.map((item) => [item.id, make(item)]));
}

/** A control of the rig, or undefined where there is none. */
export function controlAt(compiled: Compiled, device: string, control: string): CompiledControl | undefined {
  return compiled.controls.get(device)?.get(control);
}

/** Only what can be used; a control without a trigger is drawn and nothing else. */
function controlsOf(setup: Setup): Compiled['controls'] {
  return new Map(
    setup.devices.map(({ id: device, controls, settings }) => {
      const tip = controls.find(({ kind }) => kind === 'pen-tip');
      const own = controls
        .filter((control) => triggersOf(control).length > 0)
        .map((plain): [string, CompiledControl] => {
          const control = tunedControl(plain, settings);
          const natives = Object.entries(control.native).flatMap(([trigger, output]) =>
            output ? [[trigger as Trigger, plainly(output)] as const] : [],
          );
          const touched = control.kind === 'pen-switch' && tip ? controlKey(device, tip.id) : null;
          const key = controlKey(device, control.id);
          return [control.id, { key, device, control, settings, natives: new Map(natives), tip: touched }];
        });
      return [device, new Map(own)];
    }),
  );
}

/** The first control that has a phrase answers to it. */
function phrasesOf(controls: Compiled['controls']): Compiled['phrases'] {
  const phrases = new Map<string, CompiledControl>();
  for (const each of [...controls.values()].flatMap((own) => [...own.values()])) {
    const { phrase, spellings } = each.control;
    if (phrase === null) continue;
    for (const wording of [phrase, ...spellings]) {
      const folded = foldPhrase(wording);
      if (!phrases.has(folded)) phrases.set(folded, each);
    }
  }
  return phrases;
}

/** The place of each trigger in the bits of `uses`. There are fewer than 32. */
const PLACES = new Map(TRIGGERS.map((trigger, i) => [trigger, i]));

/** A trigger's place in `TRIGGERS`. */
export function triggerIndex(trigger: Trigger): number {
  return PLACES.get(trigger) ?? 0;
}

/** Of a profile compiled before, what its unchanged bindings send is kept. */
function compileProfile(
  setup: Setup,
  controls: Compiled['controls'],
  source: Profile,
  commandsOf: CompiledProfile['commandsOf'],
  kept: CompiledProfile | undefined,
): CompiledProfile {
  const sendings = new Map<string, Sending>();
  const uses = new Map<string, number>();
  for (const [key, binding] of Object.entries(source.bindings)) {
    const { device, control, trigger } = slotIn(source.id, key);
    const owner = controlKey(device, control);
    uses.set(owner, (uses.get(owner) ?? 0) | (1 << triggerIndex(trigger)));
    const native = controls.get(device)?.get(control)?.control.native[trigger] ?? null;
    const isKept = kept?.source.bindings[key] === binding;
    const sending = isKept ? kept.sendings.get(key) : sendingOf(setup, source, binding.behaviour, native);
    if (sending) sendings.set(key, sending);
  }
  return { source, commandsOf, sendings, uses };
}

/** Which triggers of a control are set anywhere a profile looks: a bit each. */
export function usesOf(compiled: Compiled, profile: string, control: string): number {
  let uses = 0;
  for (const { id } of chainFor(compiled, profile)) uses |= compiled.profiles.get(id)?.uses.get(control) ?? 0;
  return uses;
}

/** The profile chain for a profile; Everywhere's where the profile is no longer there. */
export function chainFor({ setup, memo }: Compiled, profile: string): readonly Profile[] {
  const found = memo.chains.get(profile);
  if (found) return found;
  const chain = profileChain(setup, setup.profiles[profile] ? profile : EVERYWHERE);
  memo.chains.set(profile, chain);
  return chain;
}
