import {
  type Carrying,
  type ControlPlace,
  carryingEdits,
  intoFolder,
  makeFolder,
  newPageName,
  opensPage,
  ownContent,
  type PagePlace,
} from '@nimble-lever/core/pages';
import { BASE_LAYER, type SingleEdit } from '@nimble-lever/core/setup';
import { pageName } from '@nimble-lever/core/words';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import { newId } from '../../app/setup/newId.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import type { DropTarget } from './useContentDrag.ts';
import { WORDS } from './words.ts';

/** What came of it, in words. */
type Said = AppThunk<string>;

/**
 * Takes what a control does to where it was dropped: another control of the page (both change places), a folder that one
 * opens, or a page of the tree; copied instead where that is asked.
 */
export const dropContent =
  (place: PagePlace, control: string, target: DropTarget, copies: boolean): Said =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const device = setup.devices.find(({ id }) => id === place.device);
    const nameOf = (id: string) => device?.controls.find((each) => each.id === id)?.name ?? id;
    const from: ControlPlace = { ...place, control };
    const how: Exclude<Carrying, 'swap'> = copies ? 'copy' : 'move';
    if ('control' in target) {
      const to = { ...place, control: target.control };
      const folder = opensPage(setup, to);
      // A folder that is dragged itself changes places with it.
      if (folder !== null && opensPage(setup, from) === null) return dispatch(putInto(from, folder, how));
      const edits = carryingEdits(setup, from, to, copies ? 'copy' : 'swap');
      if (edits.length === 0) return WORDS.nothingOwn(nameOf(control));
      dispatch(makeEdits(edits));
      return copies
        ? WORDS.copied(nameOf(control), nameOf(target.control))
        : WORDS.swapped(nameOf(control), nameOf(target.control));
    }
    if (target.page !== null && setup.pages.some(({ id, kind }) => id === target.page && kind === 'folder')) {
      return dispatch(putInto(from, target.page, how));
    }
    const layer = target.page ?? BASE_LAYER;
    if (layer === place.layer) return '';
    const to = { ...from, layer };
    // What is there already is not lost: it comes here instead.
    const edits: readonly SingleEdit[] = carryingEdits(
      setup,
      from,
      to,
      !copies && ownContent(setup, to).length > 0 ? 'swap' : how,
    );
    if (edits.length === 0) return WORDS.nothingOwn(nameOf(control));
    dispatch(makeEdits(edits));
    const name = target.page === null ? WORDS.home : pageName(setup, target.page);
    return WORDS.movedInto(nameOf(control), name, nameOf(control));
  };

/** Into a folder, to a control that is free there. */
const putInto =
  (from: ControlPlace, folder: string, how: Exclude<Carrying, 'swap'>): Said =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const device = setup.devices.find(({ id }) => id === from.device);
    const nameOf = (id: string) => device?.controls.find((each) => each.id === id)?.name ?? id;
    const put = intoFolder(setup, from, folder, how);
    if (!put.ok) return WORDS.folderRefused[put.problem];
    dispatch(makeEdits(put.value.edits));
    return WORDS.movedInto(nameOf(from.control), pageName(setup, folder), nameOf(put.value.control));
  };

/** Makes a folder of some controls in one step. Gives what is said of it, and the page, if it was made. */
export const folderOf =
  (
    place: PagePlace,
    controls: readonly string[],
  ): AppThunk<{ readonly said: string; readonly page: string | null }> =>
  (dispatch, getState) => {
    const setup = selectSetup(getState());
    const device = setup.devices.find(({ id }) => id === place.device);
    const nameOf = (id: string) => device?.controls.find((each) => each.id === id)?.name ?? id;
    const name = newPageName(setup, place.device, WORDS.folderName);
    const made = makeFolder(setup, place, controls, { id: newId(name, 'page'), name });
    if (!made.ok) return { said: WORDS.folderRefused[made.problem], page: null };
    const { edit, page, opener, back } = made.value;
    dispatch(makeEdit(edit));
    return { said: WORDS.folderMade(name, nameOf(opener), back && nameOf(back)), page: page.id };
  };
