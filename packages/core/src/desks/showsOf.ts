import type { Device } from '../devices/index.ts';
import {
  type Compiled,
  controlKey,
  type EngineState,
  pagesOn,
  shownPage,
  sliderKey,
} from '../engine/index.ts';
import { controlsOnPage } from '../setup/index.ts';
import { programName } from '../words/index.ts';
import { facesNow } from './facesNow.ts';
import type { AllShown, ShownFace, Shows } from './messages.ts';

/** All that a desk shows on a device now. */
export function showsOf(compiled: Compiled, state: EngineState, device: Device): AllShown {
  const { frontProgram } = state;
  const faces: Record<string, ShownFace> = {};
  for (const [control, { resolution: _why, ...face }] of facesNow(compiled, state, device))
    faces[control] = face;
  const values: Record<string, number> = {};
  const across: Record<string, number> = {};
  const down: string[] = [];
  for (const { id } of controlsOnPage(compiled.setup, device, shownPage(compiled, state, device.id))) {
    const key = controlKey(device.id, id);
    const value = state.springs[key]?.position ?? state.sliderValues[key];
    if (value !== undefined) values[id] = value;
    const other = state.sliderValues[sliderKey(key, 'across')];
    if (other !== undefined) across[id] = other;
    if (state.held[key] || state.springs[key] || state.waiting[key]?.down) down.push(id);
  }
  const front = frontProgram === null ? null : programName(compiled.setup, frontProgram);
  const pages = pagesOn(compiled, state, device.id).map(({ name }) => name);
  return { front, pages, faces, values, across, down };
}

/** What changed from one to the other; null where nothing did. With nothing before, all of it. */
export function showsChanged(before: AllShown | null, after: AllShown): Shows | null {
  if (!before) return after;
  const faces = entriesChanged(before.faces, after.faces);
  const values = entriesChanged(before.values, after.values);
  const across = entriesChanged(before.across, after.across);
  const changed: Shows = {
    ...(before.front !== after.front && { front: after.front }),
    ...(!same(before.pages, after.pages) && { pages: after.pages }),
    ...(faces && { faces }),
    ...(values && { values }),
    ...(across && { across }),
    ...(!same(before.down, after.down) && { down: after.down }),
  };
  return Object.keys(changed).length > 0 ? changed : null;
}

/** What is shown after a change was told. */
export function showsAfter(before: AllShown, changed: Shows): AllShown {
  const { front = before.front, pages = before.pages, down = before.down } = changed;
  const faces = entriesAfter(before.faces, changed.faces);
  const values = entriesAfter(before.values, changed.values);
  const across = entriesAfter(before.across, changed.across);
  return { front, pages, faces, values, across, down };
}

type Entries<Value> = Readonly<Record<string, Value>>;

/** Entries that are others now, or null where they are gone; null where all are the same. */
function entriesChanged<Value>(
  before: Entries<Value>,
  after: Entries<Value>,
): Record<string, Value | null> | null {
  const changed: Record<string, Value | null> = {};
  for (const id of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const next = after[id] ?? null;
    if (!same(before[id] ?? null, next)) changed[id] = next;
  }
  return Object.keys(changed).length > 0 ? changed : null;
}

/** Entries once a change of them was told. */
function entriesAfter<Value>(
  before: Entries<Value>,
  changed: Entries<Value | null> = {},
): Record<string, Value> {
  const after: Record<string, Value> = { ...before };
  for (const [id, value] of Object.entries(changed)) {
    if (value === null) delete after[id];
    else after[id] = value;
  }
  return after;
}

/** Before anything was told. */
export const SHOWS_NOTHING: AllShown = {
  front: null,
  pages: [],
  faces: {},
  values: {},
  across: {},
  down: [],
};

/** Made by one function, so that their keys stand in one order. */
function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
