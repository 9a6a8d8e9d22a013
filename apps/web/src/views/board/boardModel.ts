import {
  type Device,
  mainTriggersOf,
  type Trigger,
  triggersOf,
  type Way,
  wayOf,
} from '@nimble-lever/core/devices';
import { profileChain } from '@nimble-lever/core/resolve';
import {
  controlsOnPage,
  EVERYWHERE,
  type Profile,
  profileOf,
  type Setup,
  type Slot,
} from '@nimble-lever/core/setup';
import { profileName, triggerName, triggerWord } from '@nimble-lever/core/words';
import type { CellFace } from '../../pieces/Cell.tsx';
import type { BoardView } from './boardView.ts';
import { faceOf } from './cellFace.ts';
import type { UsePlace } from './lookUp.ts';

/** A column: a profile, under its program’s name. */
export interface BoardColumn {
  readonly profile: Profile;
  readonly name: string;
  /** Stays in sight at the left. */
  readonly pinned: boolean;
}

/** A row: one way of using a control. */
export interface BoardRow extends UsePlace {
  readonly name: string;
  /** Further triggers of the control that can be unfolded under this row, or are. */
  readonly more: number;
  /** All its control's triggers are shown. */
  readonly unfolded: boolean;
  /** The heading it stands under. */
  readonly group: string;
  /** Where its cells are: the layer that is shown, or the page that is shown of its device. */
  readonly layer: string;
}

/** The Board's matrix: controls × programs, with a face for each cell, made when it is first asked for. */
export interface BoardModel {
  readonly columns: readonly BoardColumn[];
  readonly rows: readonly BoardRow[];
  /** The layer that is shown, of devices that show no page. */
  readonly layer: string;
  /** What a cell shows, by its row and column; null outside. */
  readonly face: (row: number, column: number) => CellFace | null;
}

/** What decides which part of a set-up the Board shows. */
export interface Shown extends Pick<BoardView, 'hidden' | 'pinned' | 'grouping' | 'onlySet'> {
  /** The layer whose bindings are shown. */
  readonly layer: string;
  /** By device: the page whose bindings are shown instead. */
  readonly pages: Readonly<Record<string, string>>;
  /** Whether what differs from the base layer is told. */
  readonly compare: boolean;
  /** Controls whose triggers are all shown, by `device/control`. */
  readonly unfolded: ReadonlySet<string>;
  /** Words that must occur in a row. */
  readonly search: string;
  /** A slot whose row is shown although nothing is set there. */
  readonly asked: Slot | null;
}

/** What the Board shows of a set-up. */
export function boardModel(setup: Setup, shown: Shown): BoardModel {
  const columns = columnsOf(setup, shown);
  const chains = columns.map(({ profile }) => profileChain(setup, profile.id));
  const all = rowsOf(setup, shown);
  // Twenty thousand faces take seconds to make, the hundred that are seen a millisecond.
  const faces = new Map<BoardRow, (CellFace | undefined)[]>();
  const faceAt = (row: BoardRow, column: number): CellFace | null => {
    const own = faces.get(row) ?? [];
    if (!faces.has(row)) faces.set(row, own);
    const place = columns[column];
    if (!place) return null;
    own[column] ??= faceOf(setup, chains[column] ?? [], place.profile, row, {
      layer: row.layer,
      compare: shown.compare,
    });
    return own[column] ?? null;
  };
  // Every word must be somewhere in the row: "dial larkframe" finds more than the exact phrase would.
  const wanted = shown.search.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const rows = all.filter((row) => {
    if (shown.onlySet && !columns.some((_column, c) => isSetHere(faceAt(row, c), row.layer))) return false;
    if (wanted.length === 0) return true;
    const text = [row.device.name, row.name, ...columns.map((_column, c) => faceAt(row, c)?.name ?? '')];
    return wanted.every((word) => text.some((part) => part.toLowerCase().includes(word)));
  });
  return {
    columns,
    rows,
    layer: shown.layer,
    face: (row, column) => {
      const found = rows[row];
      return found ? faceAt(found, column) : null;
    },
  };
}

/** Set in this very profile and layer; what shows through from elsewhere is not. */
function isSetHere(face: CellFace | null, layer: string): boolean {
  return face?.source === 'set' && face.layer === layer;
}

/** Every column there is: Everywhere, then one for each program in the person's order. */
export function allColumns(setup: Setup): readonly Omit<BoardColumn, 'pinned'>[] {
  const profiles = [setup.profiles[EVERYWHERE], ...setup.programs.map(({ id }) => profileOf(setup, id))];
  return profiles.flatMap((profile) => (profile ? [{ profile, name: profileName(setup, profile.id) }] : []));
}

/** The columns that are not hidden, pinned ones first. */
function columnsOf(setup: Setup, { hidden, pinned }: Shown): readonly BoardColumn[] {
  const columns = allColumns(setup)
    .filter(({ profile }) => !hidden.includes(profile.id))
    .map((column) => ({ ...column, pinned: pinned.includes(column.profile.id) }));
  return [...columns.filter((column) => column.pinned), ...columns.filter((column) => !column.pinned)];
}

/**
 * The main triggers of every control, and of the others those that are set in some profile, are asked for, or are
 * unfolded; by device or by the way they are used.
 */
function rowsOf(setup: Setup, shown: Shown): readonly BoardRow[] {
  const { unfolded, asked, grouping } = shown;
  // A trigger that is bound anywhere has its row, in every column, so that it cannot be lost from sight.
  const set = new Set(
    Object.values(setup.profiles).flatMap(({ bindings }) =>
      Object.keys(bindings).map((key) => key.slice(key.indexOf('/') + 1)),
    ),
  );
  if (asked) set.add(`${asked.device}/${asked.control}/${asked.trigger}`);
  const rows = setup.devices.flatMap((device) => {
    const place = placeShown(setup, shown, device.id);
    const page = setup.pages.some(({ id }) => id === place) ? place : null;
    // A panel's cells are set on the page they belong to; by use, they stand together.
    const there = grouping === 'device' ? controlsOnPage(setup, device, page) : device.controls;
    return there.flatMap((control) => {
      const layer = control.cell?.page ?? place;
      const key = `${device.id}/${control.id}`;
      const main = mainTriggersOf(control);
      const all = triggersOf(control);
      const isAlways = (trigger: Trigger) => main.includes(trigger) || set.has(`${key}/${trigger}`);
      const always = all.filter(isAlways);
      const open = unfolded.has(key);
      return (open ? all : always).map((trigger, i): BoardRow => {
        // Told by the first row of a control only.
        const more = i === 0 ? all.length - always.length : 0;
        const name = triggerName(control, trigger);
        const group = grouping === 'device' ? deviceGroup(device) : WAYS[wayOf(trigger)];
        return { device, control, trigger, name, more, unfolded: open, group, layer };
      });
    });
  });
  if (grouping === 'device') return rows;
  // `toSorted` keeps the order of equals: devices stay together within a way.
  const order: readonly string[] = Object.values(WAYS);
  return rows.toSorted((a, b) => order.indexOf(a.group) - order.indexOf(b.group));
}

/** The page that is shown of a device, where it is there still; else the layer. By use, devices are shown at home. */
function placeShown({ pages: known }: Setup, { pages, layer, grouping }: Shown, device: string): string {
  const page = grouping === 'device' ? pages[device] : undefined;
  return known.some((own) => own.id === page && own.device === device) ? (page ?? layer) : layer;
}

/** A device's heading, with the step of its dial. */
function deviceGroup({ name, controls }: Device): string {
  const rotor = controls.find(
    ({ kind, rotor: found }) => kind === 'dial' && found?.kind === 'continuous',
  )?.rotor;
  return rotor?.kind === 'continuous' ? `${name} — one step every ${rotor.stepDegrees}°` : name;
}

/** The heading over triggers of a way when rows are grouped by use. */
const WAYS = {
  press: 'Presses',
  hold: 'Holds and double presses',
  nudge: 'Nudges',
  turn: 'Turns',
  'pressed-turn': 'Turns',
  shuttle: 'Shuttle positions',
  slide: 'Sliders',
  'slide-step': 'Sliders',
  phrase: 'Phrases',
} as const satisfies Record<Way, string>;

/** A row's name where its control's name stands in the row above. */
export function rowWord({ name, control, trigger }: BoardRow, under: boolean): string {
  return under ? triggerWord(trigger, control) : name;
}

/** The slot of a cell, in the layer or on the page that is shown. */
export function slotAt(row: BoardRow, column: BoardColumn): Slot {
  return {
    profile: column.profile.id,
    layer: row.layer,
    device: row.device.id,
    control: row.control.id,
    trigger: row.trigger,
  };
}

/** Where the cells of a device are: the layer or the page that is shown of it. */
export function layerOf(model: BoardModel, device: string): string {
  return model.rows.find((row) => row.device.id === device)?.layer ?? model.layer;
}

/** Where a slot stands in the matrix; −1 where it is not shown. */
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
export function rowKey({ device, control, trigger }: UsePlace): string {
  return `${device.id}/${control.id}/${trigger}`;
}
