import { controlsOn, type Device } from '../devices/index.ts';
import { type Compiled, controlKey, type EngineState, pagesOn, shownPage } from '../engine/index.ts';
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
  const down: string[] = [];
  for (const { id } of controlsOn(device, shownPage(compiled, state, device.id))) {
    const key = controlKey(device.id, id);
    const value = state.springs[key]?.position ?? state.sliderValues[key];
    if (value !== undefined) values[id] = value;
    if (state.held[key] || state.springs[key] || state.waiting[key]?.down) down.push(id);
  }
  const front = frontProgram === null ? null : programName(compiled.setup, frontProgram);
  return { front, pages: pagesOn(compiled, state, device.id).map(({ name }) => name), faces, values, down };
}

/** What changed from one to the other; null where nothing did. With nothing before, all of it. */
export function showsChanged(before: AllShown | null, after: AllShown): Shows | null {
  if (!before) return after;
  const faces: Record<string, ShownFace | null> = {};
  for (const id of new Set([...Object.keys(before.faces), ...Object.keys(after.faces)])) {
    const next = after.faces[id] ?? null;
    if (!same(before.faces[id] ?? null, next)) faces[id] = next;
  }
  const changed: Shows = {
    ...(before.front !== after.front && { front: after.front }),
    ...(!same(before.pages, after.pages) && { pages: after.pages }),
    ...(Object.keys(faces).length > 0 && { faces }),
    ...(!same(before.values, after.values) && { values: after.values }),
    ...(!same(before.down, after.down) && { down: after.down }),
  };
  return Object.keys(changed).length > 0 ? changed : null;
}

/** What is shown after a change was told. */
export function showsAfter(before: AllShown, changed: Shows): AllShown {
  const { front = before.front, pages = before.pages, values = before.values, down = before.down } = changed;
  const faces = Object.entries({ ...before.faces, ...changed.faces }).filter(([, face]) => face !== null);
  return { front, pages, faces: Object.fromEntries(faces), values, down };
}

/** Before anything was told. */
export const SHOWS_NOTHING: AllShown = { front: null, pages: [], faces: {}, values: {}, down: [] };

/** Made by one function, so that their keys stand in one order. */
function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
