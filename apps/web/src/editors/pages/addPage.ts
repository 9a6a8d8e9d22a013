import type { Device } from '@nimble-lever/core/devices';
import { newPageName } from '@nimble-lever/core/pages';
import { itemAt, newPage, type Page } from '@nimble-lever/core/setup';
import { makeEdit } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import { WORDS } from './words.ts';

/** What a new page is, and where. */
interface Wanted extends Pick<Page, 'kind' | 'program' | 'within'> {
  readonly device: Device;
}

/** Adds an empty page after all others of its device, under a name that is free; gives its id. */
export const addPage =
  ({ device, kind, program, within }: Wanted): AppThunk<string> =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const name = newPageName(setup, device.id, kind === 'folder' ? WORDS.folderName : WORDS.setName);
    const id = newId(name, 'page');
    // What a mouse or a pen does by itself must go on.
    const showsThrough = kind === 'folder' && (device.kind === 'mouse' || device.kind === 'pen-tablet');
    const item = newPage({ id, device: device.id, kind, name, program, within, showsThrough });
    dispatch(makeEdit({ kind: 'add', at: itemAt.page(id), item, after: setup.pages.at(-1)?.id ?? null }));
    return id;
  };
