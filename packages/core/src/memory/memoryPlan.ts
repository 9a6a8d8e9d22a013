import { type Control, type Device, isPressed, type Trigger, triggersOf } from '../devices/index.ts';
import { chordsOf, type KeysBy, type Layout } from '../keys/layouts/index.ts';
import { coveringFolders, coveringOf, profileChain, resolveBehaviour } from '../resolve/index.ts';
import {
  type Action,
  BASE_LAYER,
  type Behaviour,
  commandOf,
  commandOfIntent,
  keysByOf,
  OFF,
  type Profile,
  type Setup,
} from '../setup/index.ts';
import { entryBytes, hasUsage, MEMORY_FRAME } from './memoryBytes.ts';
import type { MemoryDoes, MemoryEntry, MemoryReason } from './memoryEntry.ts';

/** What of a profile a device can keep by itself: what fits, what does not and why, and how much room it takes. */
export interface MemoryPlan {
  readonly entries: readonly MemoryEntry[];
  /** What stays out, with the reason. */
  readonly left: readonly {
    readonly control: string;
    readonly trigger: Trigger;
    readonly reason: MemoryReason;
  }[];
  /** What it takes, with its head and checksum. */
  readonly bytes: number;
}

/** Triggers that a device can tell apart without us. */
const SIMPLE: readonly Trigger[] = ['press', 'clockwise', 'anticlockwise'];

/**
 * Works out what a memory slot would hold of what a device does in a profile's base layer, or on one of its pages and
 * from there down: its own bindings and those from below, in the order of the device's controls, as long as there is
 * room. What a folder covers does nothing.
 *
 * @param slotBytes the size of the slot
 * @param layout the keyboard that the keys are chosen for: the device sends them by itself, whatever reads them
 */
export function planMemory(
  setup: Setup,
  device: Device,
  profile: string,
  slotBytes: number,
  layout: Layout,
  page: string | null = null,
): MemoryPlan {
  const chain = profileChain(setup, profile);
  const places = page === null ? [BASE_LAYER] : [page, BASE_LAYER];
  const folders = coveringFolders(setup);
  const entries: MemoryEntry[] = [];
  const left: MemoryPlan['left'][number][] = [];
  let bytes = MEMORY_FRAME;
  for (const control of device.controls) {
    for (const trigger of triggersOf(control)) {
      const { id } = control;
      const covering = coveringOf(folders, control);
      const { decided, covered } = resolveBehaviour(chain, places, device.id, id, trigger, covering);
      const owner = decided && setup.profiles[decided.profile];
      const behaviour = covered === null ? decided?.binding.behaviour : OFF;
      if (!behaviour || behaviour.kind === 'native') continue;
      const does = owner
        ? memoryDoes({ setup, owner, layout }, behaviour, trigger)
        : coveredDoes(control, trigger);
      if (does === null) continue;
      if (typeof does === 'string') {
        left.push({ control: control.id, trigger, reason: does });
        continue;
      }
      const entry = { control: control.id, trigger, does };
      if (bytes + entryBytes(entry) > slotBytes) left.push({ control: control.id, trigger, reason: 'full' });
      else {
        entries.push(entry);
        bytes += entryBytes(entry);
      }
    }
  }
  return { entries, left, bytes };
}

/** A trigger that would otherwise do something by itself has to be told that it does nothing. */
function coveredDoes({ native }: Control, trigger: Trigger): MemoryDoes | null {
  return native[trigger] ? { kind: 'nothing' } : null;
}

/** Whose bindings are planned, and for which keyboard. */
interface Source {
  readonly setup: Setup;
  readonly owner: Profile;
  readonly layout: Layout;
}

/** What a device does by itself is plain: no layers, no guards, nobody to send to. */
function memoryDoes(source: Source, behaviour: Behaviour, trigger: Trigger): MemoryDoes | MemoryReason {
  if (!SIMPLE.includes(trigger)) return 'trigger';
  if (behaviour.kind === 'native') return { kind: 'nothing' };
  if (behaviour.kind === 'off') return behaviour.heardBy.length > 0 ? 'heard-by' : { kind: 'nothing' };
  const { action, style, guard, target } = behaviour;
  if (style !== 'follow' && style !== 'tap') return 'style';
  if (guard) return 'guard';
  if (target) return 'target';
  return actionDoes(source, action, style === 'follow' && isPressed(trigger));
}

/** A reason instead, where the action needs more than keys, buttons and wheel. */
function actionDoes(source: Source, action: Action, held: boolean): MemoryDoes | MemoryReason {
  const { setup, owner, layout } = source;
  switch (action.kind) {
    case 'shortcut':
      return keysDo(source, [{ shortcut: action.shortcut }], held);
    case 'command': {
      const command = commandOf(setup, owner, action.command);
      const own = command?.onLayout[layout.id] ?? command?.shortcut ?? '';
      return keysDo(source, [{ shortcut: own, keysBy: command?.keysBy ?? null }], held);
    }
    case 'intent': {
      const program = setup.programs.find(({ id }) => id === owner.program);
      const command = commandOfIntent(program, action.intent);
      if (!command) return 'intent';
      const own = command.onLayout[layout.id] ?? command.shortcut;
      return keysDo(source, [{ shortcut: own, keysBy: command.keysBy }], held);
    }
    case 'sequence':
      return keysDo(
        source,
        action.shortcuts.map((shortcut) => ({ shortcut })),
        held,
      );
    case 'button':
      return { kind: 'button', held, button: action.button };
    case 'wheel':
      if (action.keys !== undefined) return 'pointer';
      return { kind: 'wheel', ticks: action.ticks, axis: action.axis };
    case 'macro':
      return macroDoes(source, action.macro);
    case 'click':
    case 'drag':
    case 'speed':
    case 'wheel-mode':
    case 'computer':
      return 'pointer';
    case 'page':
      return 'page';
    case 'text':
    case 'message':
    case 'layer':
    case 'profile':
    case 'program':
    case 'radial':
    case 'show':
      return action.kind;
  }
}

/** Shortcuts as a chord that can be held, or as chords one after another. */
function keysDo(
  { setup, owner, layout }: Source,
  shortcuts: readonly { readonly shortcut: string; readonly keysBy?: KeysBy | null }[],
  held: boolean,
): MemoryDoes | MemoryReason {
  const reads = keysByOf(setup, owner);
  const chords: (readonly string[])[] = [];
  for (const { shortcut, keysBy } of shortcuts) {
    const found = chordsOf(shortcut, layout, keysBy ?? reads);
    if (!found.ok) return 'no-key';
    chords.push(...found.value);
  }
  const [only] = chords;
  if (!only || !chords.flat().every(hasUsage)) return 'key';
  return chords.length === 1 ? { kind: 'keys', held, codes: only } : { kind: 'steps', chords };
}

/** A macro of nothing but shortcuts, run once, is chords one after another. */
function macroDoes(source: Source, id: string): MemoryDoes | MemoryReason {
  const macro = source.setup.macros.find((own) => own.id === id);
  if (macro?.run !== 'times' || macro.times !== 1) return 'macro';
  if (macro.steps.some(({ kind }) => kind === 'wait')) return 'waits';
  const shortcuts = macro.steps.flatMap((step) =>
    step.kind === 'shortcut' ? [{ shortcut: step.shortcut }] : [],
  );
  return shortcuts.length === macro.steps.length ? keysDo(source, shortcuts, false) : 'macro';
}
