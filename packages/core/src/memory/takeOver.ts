import { formatShortcut } from '../keys/index.ts';
import { type Layout, shortcutOf } from '../keys/layouts/index.ts';
import {
  acting,
  BASE_LAYER,
  type Behaviour,
  bindingChanges,
  keyOf,
  keysByOf,
  OFF,
  type Setup,
  type SingleEdit,
  type Slot,
} from '../setup/index.ts';
import type { MemoryDoes, MemoryEntry } from './memoryEntry.ts';

/**
 * The edits that set in a profile's base layer what a device's memory holds, so that the set-up does the same. Controls
 * the memory says nothing of stay as they are; face and note stay with what is set anew.
 *
 * @param layout the keyboard that the memory's keys were chosen for
 */
export function takeOverMemory(
  setup: Setup,
  device: string,
  profile: string,
  entries: readonly MemoryEntry[],
  layout: Layout,
  layer = BASE_LAYER,
): readonly SingleEdit[] {
  const { program = null, bindings = {} } = setup.profiles[profile] ?? {};
  const keysBy = keysByOf(setup, { program });
  const textOf = (codes: readonly string[]) => formatShortcut(shortcutOf(codes, layout, keysBy));
  return entries.flatMap(({ control, trigger, does }) => {
    const slot: Slot = { profile, layer, device, control, trigger };
    const before = bindings[keyOf(slot)] ?? null;
    const { face = null, note = null } = before ?? {};
    return bindingChanges(slot, before, { behaviour: behaviourOf(does, textOf), face, note });
  });
}

/** What a memory does, as a binding says it. */
function behaviourOf(does: MemoryDoes, textOf: (codes: readonly string[]) => string): Behaviour {
  switch (does.kind) {
    case 'nothing':
      return OFF;
    case 'keys':
      return acting({ kind: 'shortcut', shortcut: textOf(does.codes) }, does.held ? 'follow' : 'tap');
    case 'steps':
      return acting({ kind: 'sequence', shortcuts: does.chords.map(textOf) }, 'tap');
    case 'button':
      return acting({ kind: 'button', button: does.button }, does.held ? 'follow' : 'tap');
    case 'wheel':
      return acting({ kind: 'wheel', ticks: does.ticks, axis: does.axis }, 'tap');
  }
}
