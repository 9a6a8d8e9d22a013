import type { Setup } from '../../setup.ts';
import { type Edit, editSchema } from '../edit.ts';
import { isLoose, type Loose } from './loose.ts';
import { pageIdOf } from './planPages.ts';
import { type PageFinder, withPageActions } from './setupWithPages.ts';

/** What an entry of the log did and what takes it back, as version 2 wrote them. */
interface Pair2 {
  readonly edit: unknown;
  /** Null for an entry that was never saved. */
  readonly inverse: unknown;
}

/**
 * Brings an entry of version 2 up to date, in which a layer could be shown as a page: where that layer has become a
 * folder, the edit is about the folder. Null where it cannot be read.
 */
export function upcastPair2(setup: Setup, pair: Pair2): { edit: Edit; inverse: Edit | null } | null {
  const edit = editSchema.safeParse(editWithPages(setup, pair.edit)).data;
  const inverse =
    pair.inverse === null ? null : editSchema.safeParse(editWithPages(setup, pair.inverse)).data;
  return edit && inverse !== undefined ? { edit, inverse } : null;
}

/** The folders that layers became, by the ids they got. */
function finderAt({ pages }: Setup): PageFinder {
  const ids = new Map(pages.map(({ id, device }) => [id, device]));
  return (layer, device) => {
    const devices = device === null ? [...new Set(ids.values())] : [device];
    return devices.map((each) => pageIdOf(layer, each)).find((id) => ids.has(id)) ?? null;
  };
}

/** An edit of version 2 with its actions about pages, and its places, as they are now; it may be anything. */
export function editWithPages(setup: Setup, edit: unknown): unknown {
  if (!isLoose(edit)) return edit;
  if (!Array.isArray(edit.edits)) return singleWithPages(setup, edit);
  return {
    ...edit,
    edits: edit.edits.map((part: unknown) => (isLoose(part) ? singleWithPages(setup, part) : part)),
  };
}

/** `profiles/PROFILE/bindings/LAYER/DEVICE/…`: what its pieces are. */
const PLACE = /^(profiles\/[^/]+\/bindings)\/([^/]+)\/([^/]+)(\/.*)$/;

function singleWithPages(setup: Setup, edit: Loose): Loose {
  const find = finderAt(setup);
  const [, list = '', layer = '', device = '', rest = ''] = PLACE.exec(String(edit.at)) ?? [];
  const now = withPageActions(edit, device === '' ? null : device, find) as Loose;
  if (list === '') return now;
  const isLayer = setup.layers.some(({ id }) => id === layer);
  const page = isLayer ? null : find(layer, device);
  return page === null ? now : { ...now, at: `${list}/${page}/${device}${rest}` };
}

/**
 * An edit of version 1 with its actions about pages, and its places, as they are now; otherwise it is as it was.
 */
export function edit1WithPages(setup: Setup, edit: unknown): unknown {
  if (!isLoose(edit)) return edit;
  if (Array.isArray(edit.edits)) {
    return { ...edit, edits: edit.edits.map((part: unknown) => edit1WithPages(setup, part)) };
  }
  const find = finderAt(setup);
  const { slot } = edit;
  if (!isLoose(slot)) return withPageActions(edit, null, find);
  const now = withPageActions(edit, String(slot.device), find) as Loose;
  const isLayer = setup.layers.some(({ id }) => id === slot.layer);
  const page = isLayer ? null : find(String(slot.layer), String(slot.device));
  return page === null ? now : { ...now, slot: { ...slot, layer: page } };
}
