import {
  type Control,
  type Device,
  mainTriggersOf,
  type Trigger,
  triggersOf,
} from '@nimble-lever/core/devices';
import { profileChain, resolveBehaviour } from '@nimble-lever/core/resolve';
import {
  BASE_LAYER,
  EVERYWHERE,
  keyOf,
  type Profile,
  profileOf,
  type Setup,
  type Slot,
  slotKey,
} from '@nimble-lever/core/setup';
import { describeAction, profileName, programName, triggerName, wheelText } from '@nimble-lever/core/words';
import type { CellFace } from '../../pieces/Cell.tsx';

export interface BoardColumn {
  readonly profile: Profile;
  readonly name: string;
}

export interface BoardRow {
  readonly device: Device;
  readonly control: Control;
  readonly trigger: Trigger;
  readonly name: string;
}

/** The Board's matrix: controls × programs, with a face for each cell. */
export interface BoardModel {
  readonly columns: readonly BoardColumn[];
  readonly rows: readonly BoardRow[];
  /** By row, then column. */
  readonly faces: readonly (readonly CellFace[])[];
}

/** Everywhere, then a column for each program in the person's order. */
function columnsOf(setup: Setup): readonly BoardColumn[] {
  const profiles = [setup.profiles[EVERYWHERE], ...setup.programs.map(({ id }) => profileOf(setup, id))];
  return profiles.flatMap((profile) => (profile ? [{ profile, name: profileName(setup, profile.id) }] : []));
}

/**
 * What the Board shows of a set-up: the main triggers of every control, and of the others those that are set
 * in some profile or are `asked` for.
 */
export function boardModel(setup: Setup, asked: Slot | null = null): BoardModel {
  const columns = columnsOf(setup);
  const set = new Set(Object.values(setup.profiles).flatMap(({ bindings }) => Object.keys(bindings)));
  if (asked) set.add(keyOf(asked));
  const rows = setup.devices.flatMap((device) =>
    device.controls.flatMap((control) =>
      triggersOf(control)
        .filter((trigger) => {
          if (mainTriggersOf(control).includes(trigger)) return true;
          return set.has(slotKey(BASE_LAYER, device.id, control.id, trigger));
        })
        .map((trigger) => ({ device, control, trigger, name: triggerName(control, trigger) })),
    ),
  );
  const chains = columns.map(({ profile }) => profileChain(setup, profile.id));
  const faces = rows.map((row) =>
    columns.map(({ profile }, i) => faceOf(setup, chains[i] ?? [], profile, row)),
  );
  return { columns, rows, faces };
}

function faceOf(setup: Setup, chain: readonly Profile[], asked: Profile, row: BoardRow): CellFace {
  const { device, control, trigger } = row;
  const { decided } = resolveBehaviour(chain, [BASE_LAYER], device.id, control.id, trigger);
  const source = decided?.profile === asked.id ? 'set' : 'inherited';
  const from = decided && source === 'inherited' ? profileName(setup, decided.profile) : null;
  const hasNote = source === 'set' && decided?.binding.note !== null;
  const plain = { source, shortcut: null, family: null, intent: null, from, hasNote } as const;
  const behaviour = decided?.binding.behaviour;
  if (!decided || behaviour?.kind === 'native') return { ...plain, does: 'native', name: 'native' };
  if (behaviour?.kind !== 'action')
    return { ...plain, does: 'off', name: offName(setup, behaviour?.heardBy ?? []) };
  const owner = setup.profiles[decided.profile] ?? asked;
  const { action } = behaviour;
  const { name, shortcut, family, intent } = describeAction(setup, owner, action);
  const keycap = action.kind === 'wheel' ? wheelText(action.ticks, action.axis) : shortcut;
  const label = decided.binding.face?.label;
  const shown = action.kind === 'shortcut' && name === 'Send keys' && label ? label : name;
  return { ...plain, does: 'action', name: shown, shortcut: keycap, family, intent };
}

function offName(setup: Setup, heardBy: readonly string[]): string {
  const names = heardBy.map((id) => programName(setup, id)).join(', ');
  return names ? `off here, heard by ${names}` : 'off here';
}

/** The slot of a cell, in the base layer. */
export function slotAt(row: BoardRow, column: BoardColumn): Slot {
  return {
    profile: column.profile.id,
    layer: BASE_LAYER,
    device: row.device.id,
    control: row.control.id,
    trigger: row.trigger,
  };
}

/** Where a slot stands in the matrix; −1 where it is no longer there. */
export function placeOf(model: BoardModel, slot: Slot): { readonly row: number; readonly column: number } {
  return {
    row: model.rows.findIndex(
      ({ device, control, trigger }) =>
        device.id === slot.device && control.id === slot.control && trigger === slot.trigger,
    ),
    column: model.columns.findIndex(({ profile }) => profile.id === slot.profile),
  };
}

/** The key of a row: device, control and trigger. */
export function rowKey({ device, control, trigger }: Omit<BoardRow, 'name'>): string {
  return `${device.id}/${control.id}/${trigger}`;
}
