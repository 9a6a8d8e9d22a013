import type { Slot } from '@nimble-lever/core/setup';
import { selectSetup } from '../../app/setup/selectors.ts';
import type { AppThunk } from '../../app/store.ts';
import { cellSelected, pageShown } from './boardSlice.ts';

/** Selects a cell, also of a page that is not shown yet. */
export const goToSlot =
  (slot: Slot): AppThunk =>
  (dispatch, getState) => {
    const { pages, devices } = selectSetup(getState());
    const isPage = pages.some(({ id, device }) => id === slot.layer && device === slot.device);
    if (isPage) dispatch(pageShown({ device: slot.device, page: slot.layer }));
    // A cell of the panel's own page is not there while another one shows.
    const isPanel = devices.some(({ id, panel }) => id === slot.device && panel !== null);
    if (!isPage && isPanel) dispatch(pageShown({ device: slot.device, page: null }));
    dispatch(cellSelected(slot));
  };
