import type { Control } from '../devices/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import {
  type Action,
  acting,
  type Binding,
  bindingChanges,
  controlsOnPage,
  type Edit,
  type Face,
  itemAt,
  keyOf,
  NO_FACE,
  newPage,
  type Page,
  type Setup,
  type SingleEdit,
  together,
} from '../setup/index.ts';
import {
  type Carrying,
  type ControlPlace,
  carryingEdits,
  ownContent,
  shownContent,
} from './controlContent.ts';

/** Where a folder is made: the page or layer whose controls go in, as a profile has them. */
export type PagePlace = Omit<ControlPlace, 'control'>;

/** A folder that can be made of some controls, and which of the others would be its way back. */
export interface FolderPlan {
  readonly edit: Edit;
  readonly page: Page;
  /** The control that opens it: the first of those that go in. */
  readonly opener: string;
  /** Null where no control is left free on it. */
  readonly back: string | null;
}

/** Why something cannot go into a folder. */
export type FolderRefusal = 'no-controls' | 'no-room' | 'not-pressed' | 'into-itself';

/** What opens a page, or leads back from one. */
export const pageAction = (change: 'open' | 'back', to: string | null = null): Action => ({
  kind: 'page',
  change,
  page: to,
  device: null,
});

/** What leads back looks the same on every device. */
export const BACK_FACE: Face = { ...NO_FACE, label: 'Back', icon: 'corner-up-left', colour: 'ink' };
/** A press that opens a page or leads back, with what is seen of it. */
export const opening = (action: Action, face: Face): Binding => ({
  behaviour: acting(action, 'tap'),
  face,
  note: null,
});

/** What a key of a device that opens a page shows: the page's own face, else its name. */
export function openerFace({ name, face }: Page): Face {
  return {
    label: face?.label ?? name.slice(0, 24).trim(),
    icon: face?.icon ?? 'folder',
    colour: face?.colour ?? null,
    picture: face?.picture ?? null,
  };
}

/**
 * Makes a folder of some controls, in one step: what they do moves in, each to the control it is on; what they inherit
 * is copied. The first of them opens the folder, and a control that is free on it is the way back.
 *
 * @param given the new page's id and name
 */
export function makeFolder(
  setup: Setup,
  place: PagePlace,
  controls: readonly string[],
  given: Pick<Page, 'id' | 'name'>,
): Result<FolderPlan, FolderRefusal> {
  const device = setup.devices.find(({ id }) => id === place.device);
  const profile = setup.profiles[place.profile];
  const known = controls.filter((control) => device?.controls.some(({ id }) => id === control));
  const opener = known.find((id) => device?.controls.some((each) => each.id === id && each.canPress));
  if (!device || !profile || known.length === 0) return refuse('no-controls');
  if (opener === undefined) return refuse('not-pressed');
  const within = setup.pages.some(({ id }) => id === place.layer) ? place.layer : null;
  const folder = newPage({
    ...given,
    device: place.device,
    kind: 'folder',
    program: profile.program,
    within,
    // What a mouse or a pen does by itself must go on.
    showsThrough: device.kind === 'mouse' || device.kind === 'pen-tablet',
  });
  const moved = known.flatMap((control) => {
    const from = { ...place, control };
    return shownContent(setup, from).flatMap(({ trigger, binding, profile: owner, layer }): SingleEdit[] => {
      const into = { ...from, layer: folder.id, trigger };
      const isOwn = owner === place.profile && layer === place.layer;
      return [
        ...bindingChanges(into, null, binding),
        ...(isOwn ? bindingChanges({ ...from, trigger }, binding, null) : []),
      ];
    });
  });
  const back = freeControls(device.controls, known).at(-1)?.id ?? null;
  const slot = (control: string, layer: string) => ({ ...place, control, layer, trigger: 'press' as const });
  const edit = together([
    { kind: 'add', at: itemAt.page(folder.id), item: folder, after: setup.pages.at(-1)?.id ?? null },
    ...moved,
    ...bindingChanges(
      slot(opener, place.layer),
      null,
      opening(pageAction('open', folder.id), openerFace(folder)),
    ),
    ...(back === null
      ? []
      : bindingChanges(slot(back, folder.id), null, opening(pageAction('back'), BACK_FACE))),
  ]);
  return ok({ edit, page: folder, opener, back });
}

/** Controls that can be pressed and are not taken, in the device's order. */
function freeControls(controls: readonly Control[], taken: readonly string[]): readonly Control[] {
  return controls.filter(({ id, canPress }) => canPress && !taken.includes(id));
}

/**
 * The edits that take what a control does into a folder of its device: to the same control where that is free there,
 * else to the first that is; refused where none is.
 */
export function intoFolder(
  setup: Setup,
  from: ControlPlace,
  folder: string,
  how: Exclude<Carrying, 'swap'>,
): Result<{ readonly edits: readonly SingleEdit[]; readonly control: string }, FolderRefusal> {
  const device = setup.devices.find(({ id }) => id === from.device);
  const content = ownContent(setup, from);
  if (!device || content.length === 0) return refuse('no-controls');
  if (from.layer === folder || opensPage(setup, from) === folder) return refuse('into-itself');
  const at = (control: string): ControlPlace => ({ ...from, layer: folder, control });
  const isFree = (control: string) => ownContent(setup, at(control)).length === 0;
  const others = device.controls.filter(({ id, canPress }) => id !== from.control && canPress);
  const control = [from.control, ...others.map(({ id }) => id)].find(isFree);
  if (control === undefined) return refuse('no-room');
  return ok({ edits: carryingEdits(setup, from, at(control), how), control });
}

/** The folder that a press of a control opens at a place; null where it opens none. */
export function opensPage(setup: Setup, place: ControlPlace): string | null {
  const press = shownContent(setup, place).find(({ trigger }) => trigger === 'press')?.binding.behaviour;
  if (press?.kind !== 'action' || press.action.kind !== 'page') return null;
  return press.action.change === 'open' ? press.action.page : null;
}

/** The control by which a folder is left with a profile in charge; null where none of its device leads back. */
export function wayBack(setup: Setup, folder: Page, profile: string): string | null {
  const device = setup.devices.find(({ id }) => id === folder.device);
  const leads = ({ behaviour }: Binding) =>
    behaviour.kind === 'action' &&
    behaviour.action.kind === 'page' &&
    (behaviour.action.change === 'back' || behaviour.action.change === 'home') &&
    (behaviour.action.device === null || behaviour.action.device === folder.device);
  const found = (device ? controlsOnPage(setup, device, folder.id) : []).find(({ id: control, cell }) => {
    // A cell of a page it is based on does what it does there.
    const layer = cell?.page ?? folder.id;
    const content = shownContent(setup, { profile, layer, device: folder.device, control });
    return content.some(({ binding }) => leads(binding));
  });
  return found?.id ?? null;
}

/** The edits that put a way back on the last free control of a folder; null where none is free. */
export function wayBackEdit(
  setup: Setup,
  folder: Page,
  profile: string,
): { readonly edits: readonly SingleEdit[]; readonly control: string } | null {
  const device = setup.devices.find(({ id }) => id === folder.device);
  const place = { profile, layer: folder.id, device: folder.device };
  const isFree = ({ id, canPress, cell }: Control) =>
    canPress &&
    (!cell?.page || cell.page === folder.id) &&
    !setup.profiles[profile]?.bindings[keyOf({ ...place, control: id, trigger: 'press' })];
  const control = device && controlsOnPage(setup, device, folder.id).filter(isFree).at(-1)?.id;
  if (control === undefined) return null;
  const slot = { ...place, control, trigger: 'press' as const };
  return { edits: bindingChanges(slot, null, opening(pageAction('back'), BACK_FACE)), control };
}
