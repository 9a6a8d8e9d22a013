import { BARE, formatShortcut, type ModifierName, modifierOf } from '../keys/index.ts';
import {
  type Action,
  acting,
  BASE_LAYER,
  type Behaviour,
  bindingChanges,
  keyOf,
  OFF,
  type Setup,
  type SingleEdit,
  type Slot,
} from '../setup/index.ts';
import type { MemoryDoes, MemoryEntry } from './memoryEntry.ts';

/**
 * The edits that set in a profile's base layer what a device's memory holds, so that the set-up does the same. Controls
 * the memory says nothing of stay as they are; face and note stay with what is set anew.
 */
export function takeOverMemory(
  setup: Setup,
  device: string,
  profile: string,
  entries: readonly MemoryEntry[],
): readonly SingleEdit[] {
  const bindings = setup.profiles[profile]?.bindings ?? {};
  return entries.flatMap(({ control, trigger, does }) => {
    const slot: Slot = { profile, layer: BASE_LAYER, device, control, trigger };
    const before = bindings[keyOf(slot)] ?? null;
    const { face = null, note = null } = before ?? {};
    return bindingChanges(slot, before, { behaviour: behaviourOf(does), face, note });
  });
}

/** What a memory does, as a binding says it. */
function behaviourOf(does: MemoryDoes): Behaviour {
  switch (does.kind) {
    case 'nothing':
      return OFF;
    case 'keys':
      return acting(shortcutOf(does.codes), does.held ? 'follow' : 'tap');
    case 'steps':
      return acting({ kind: 'sequence', shortcuts: does.chords.map(textOf) }, 'tap');
    case 'button':
      return acting({ kind: 'button', button: does.button }, does.held ? 'follow' : 'tap');
    case 'wheel':
      return acting({ kind: 'wheel', ticks: does.ticks, axis: does.axis }, 'tap');
  }
}

function shortcutOf(codes: readonly string[]): Action {
  return { kind: 'shortcut', shortcut: textOf(codes) };
}

/** Keys that go down together as a shortcut in our notation. */
function textOf(codes: readonly string[]): string {
  const on: Record<ModifierName, boolean> = { ...BARE };
  let key: string | null = null;
  for (const code of codes) {
    const modifier = modifierOf(code);
    if (modifier) on[modifier] = true;
    else key = code;
  }
  return formatShortcut({ ...on, code: key });
}
