import { freeId, fromCatalogue } from '@nimble-lever/core/devices';
import type { AppThunk } from '../store.ts';
import { makeEdit } from './edits.ts';
import { selectSetup } from './selectors.ts';

/** Adds a device of the catalogue to the rig, under a name that is free; gives its id, or null for an unknown model. */
export const addFromCatalogue =
  (model: string): AppThunk<string | null> =>
  (dispatch, getState) => {
    const { devices } = selectSetup(getState());
    const first = fromCatalogue(model, model);
    if (!first) return null;
    const names = new Set(devices.map((device) => device.name));
    let { name } = first;
    for (let i = 2; names.has(name); i++) name = `${first.name} ${i}`;
    const id = freeId(name, new Set(devices.map((device) => device.id)), 'device');
    const item = { ...(fromCatalogue(model, id) ?? first), name };
    dispatch(makeEdit({ kind: 'set-device', id, item, at: devices.length }));
    return id;
  };
