import { type Control, controlsOn, oppositeOf, type Trigger, triggersOf } from '../devices/index.ts';
import {
  type ControlSet,
  commandListDocumentSchema,
  controlSetSchema,
  type StartingProfile,
  startingProfileSchema,
} from '../formats/index.ts';
import {
  type Action,
  acting,
  BASE_LAYER,
  type Binding,
  bindingChanges,
  type Command,
  type Edit,
  keyOf,
  type Profile,
  type Setup,
  type Slot,
  sameJson,
  together,
} from '../setup/index.ts';
import { proposeFor } from './propose.ts';
import framesAndTimeLine from './readyMade/lists/frames-and-time-line.json' with { type: 'json' };
import modelView from './readyMade/lists/model-view.json' with { type: 'json' };
import nodeGraph from './readyMade/lists/node-graph.json' with { type: 'json' };
import pagesAndTabs from './readyMade/lists/pages-and-tabs.json' with { type: 'json' };
import painting from './readyMade/lists/painting.json' with { type: 'json' };
import soundWave from './readyMade/lists/sound-wave.json' with { type: 'json' };
import text from './readyMade/lists/text.json' with { type: 'json' };
import pagesSet from './readyMade/sets/pages.json' with { type: 'json' };
import soundSet from './readyMade/sets/sound.json' with { type: 'json' };
import undoSet from './readyMade/sets/undo.json' with { type: 'json' };
import viewSet from './readyMade/sets/view.json' with { type: 'json' };
import windowsSet from './readyMade/sets/windows.json' with { type: 'json' };
import dial from './readyMade/starts/dial.json' with { type: 'json' };
import keyPad from './readyMade/starts/key-pad.json' with { type: 'json' };
import mouse from './readyMade/starts/mouse.json' with { type: 'json' };
import pedals from './readyMade/starts/pedals.json' with { type: 'json' };
import penTablet from './readyMade/starts/pen-tablet.json' with { type: 'json' };
import shuttle from './readyMade/starts/shuttle.json' with { type: 'json' };
import touchPanel from './readyMade/starts/touch-panel.json' with { type: 'json' };
import voice from './readyMade/starts/voice.json' with { type: 'json' };

/** Lists of commands for kinds of programs. The shortcuts are common practice; what a program really has, only it knows. */
export const READY_LISTS = [
  pagesAndTabs,
  text,
  painting,
  framesAndTimeLine,
  soundWave,
  nodeGraph,
  modelView,
].map((list) => commandListDocumentSchema.parse(list));

/** What devices of a kind could do to begin with. */
export const STARTING_PROFILES: readonly StartingProfile[] = [
  dial,
  keyPad,
  mouse,
  penTablet,
  shuttle,
  pedals,
  touchPanel,
  voice,
].map((start) => startingProfileSchema.parse(start));

/** Several things at once for one control. */
export const CONTROL_SETS: readonly ControlSet[] = [undoSet, pagesSet, windowsSet, soundSet, viewSet].map(
  (set) => controlSetSchema.parse(set),
);

/** What a slot would get, and what stands there now. */
export interface ReadyStep {
  readonly slot: Slot;
  readonly before: Binding | null;
  readonly after: Binding;
}

/** Works out what a starting profile sets of a device in a profile: only what its program can do, each idea once. */
export function planStart(
  setup: Setup,
  { profile, device }: { readonly profile: string; readonly device: string },
  start: StartingProfile,
): readonly ReadyStep[] {
  const column = setup.profiles[profile];
  const found = setup.devices.find(({ id }) => id === device);
  const controls = found ? controlsOn(found, null, []) : [];
  if (!column) return [];
  const taken = new Set<string>();
  const stepsFor = (control: Control, trigger: Trigger, ways: readonly string[]): readonly ReadyStep[] => {
    const triggers = [trigger, ...(ways.length > 1 ? [oppositeOf(trigger)] : [])];
    const steps = ways.map((intent, i) => {
      const command = taken.has(intent) ? null : commandFor(setup, column, intent);
      const at = triggers[i];
      return command && at ? { command, slot: slotOfUse(profile, device, control.id, at) } : null;
    });
    const found = steps.filter((step) => step !== null);
    if (found.length < ways.length) return [];
    for (const intent of ways) taken.add(intent);
    return found.map(({ command, slot }) =>
      stepOf(column, slot, { kind: 'command', command: command.id }, command.risky),
    );
  };
  return start.uses.flatMap(({ on, nth, trigger, ideas }) => {
    const ofKind = controls.filter(({ kind }) => kind === on);
    const used = nth === 'each' ? ofKind : ofKind.slice(nth - 1, nth);
    return used.flatMap((control) => {
      if (!triggersOf(control).includes(trigger)) return [];
      const spoken = ideas === 'as-spoken' ? proposeFor(control.phrase ?? '').intent : null;
      const all = ideas === 'as-spoken' ? (spoken === null ? [] : [[spoken]]) : ideas;
      for (const ways of all) {
        const steps = stepsFor(control, trigger, ways);
        if (steps.length > 0) return steps;
      }
      return [];
    });
  });
}

/** Works out what a set gives a control in a profile: the program's own commands, else keys. */
export function planControlSet(
  setup: Setup,
  {
    profile,
    device,
    control: id,
    layer = BASE_LAYER,
  }: Pick<Slot, 'profile' | 'device' | 'control'> & { readonly layer?: string },
  { uses }: ControlSet,
): readonly ReadyStep[] {
  const column = setup.profiles[profile];
  const control = setup.devices.find((each) => each.id === device)?.controls.find((each) => each.id === id);
  if (!column || !control) return [];
  const known = triggersOf(control);
  return (Object.entries(uses) as [Trigger, NonNullable<(typeof uses)[Trigger]>][]).flatMap(
    ([trigger, { idea, shortcut }]) => {
      if (!known.includes(trigger)) return [];
      const command = idea === null ? null : commandFor(setup, column, idea);
      const action: Action = command
        ? { kind: 'command', command: command.id }
        : { kind: 'shortcut', shortcut };
      const slot = { ...slotOfUse(profile, device, id, trigger), layer };
      return [stepOf(column, slot, action, command?.risky ?? false)];
    },
  );
}

/** The edit that sets what was worked out; null where all of it is so already. */
export function readyEdit(steps: readonly ReadyStep[]): Edit | null {
  const edits = steps
    .filter(({ before, after }) => !sameJson(before, after))
    .flatMap(({ slot, before, after }) => bindingChanges(slot, before, after));
  return edits.length > 0 ? together(edits) : null;
}

/** The program's command of an intent, else a common one. */
function commandFor(setup: Setup, { program }: Profile, intent: string): Command | null {
  const own = setup.programs.find(({ id }) => id === program)?.commands ?? [];
  const has = (command: Command) => command.intent === intent;
  return own.find(has) ?? setup.commonCommands.find(has) ?? null;
}

function slotOfUse(profile: string, device: string, control: string, trigger: Trigger): Slot {
  return { profile, layer: BASE_LAYER, device, control, trigger };
}

/** A press can ask for a longer one where what it does cannot be taken back. */
function stepOf(column: Profile, slot: Slot, action: Action, risky: boolean): ReadyStep {
  const before = column.bindings[keyOf(slot)] ?? null;
  const behaviour = acting(action, 'tap');
  const guarded = risky && slot.trigger === 'press' ? { ...behaviour, guard: 'longer' as const } : behaviour;
  return {
    slot,
    before,
    after: { behaviour: guarded, face: before?.face ?? null, note: before?.note ?? null },
  };
}
