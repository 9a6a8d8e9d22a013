import { type Device, fromCatalogue } from '@nimble-lever/core/devices';
import { itemAt } from '@nimble-lever/core/setup';
import type { AppThunk } from '../store.ts';
import { makeEdit } from './edits.ts';
import { newId } from './newId.ts';
import { selectSetup } from './selectors.ts';

/** Adds a device at the end of the rig. */
export const addDevice =
  (item: Device): AppThunk =>
  (dispatch, getState) => {
    const after = selectSetup(getState()).devices.at(-1)?.id ?? null;
    dispatch(makeEdit({ kind: 'add', at: itemAt.device(item.id), item, after }));
  };

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
    const id = newId(name, 'device');
    const item = { ...(fromCatalogue(model, id) ?? first), name };
    dispatch(addDevice(item));
    return id;
  };
