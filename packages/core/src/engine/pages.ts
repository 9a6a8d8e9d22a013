import { FOLDERS_DEEP, type Page } from '../setup/index.ts';
import type { OwnChange } from './effect.ts';
import type { StateChange } from './explanation.ts';
import { withEntry, without } from './record.ts';
import { folderOn, NO_PROGRAM, programFor, setOn, setsNow } from './shownPage.ts';
import type { StepContext } from './stepContext.ts';

/** An action about pages, without the one that asks. */
type PageAction = Extract<OwnChange, { kind: 'page' }>;

/** Does what an action says to the pages of a device. */
export function changePage(
  context: StepContext,
  action: PageAction & { readonly change: Exclude<PageAction['change'], 'ask'> },
  own: string,
): void {
  const page = action.page === null ? null : (context.compiled.pages.byId.get(action.page) ?? null);
  // A page that was named and is gone, which a sound set-up does not have.
  if (action.page !== null && !page) return;
  const device = page?.device ?? action.device ?? own;
  if (page && !isHere(context, page)) {
    context.changes.push({ kind: 'no-page', device, page: page.id, why: 'other-program' });
    return;
  }
  tellingPages(context, [device], () => {
    switch (action.change) {
      case 'open':
        if (page) openFolder(context, page);
        return;
      case 'back':
        closeFolders(context, device, (open) => open.slice(0, -1));
        return;
      case 'home':
        closeFolders(context, device, () => []);
        return;
      case 'next-set':
        stepSet(context, device, 1);
        return;
      case 'previous-set':
        stepSet(context, device, -1);
        return;
      case 'choose':
        chooseSet(context, device, page?.id ?? null);
        return;
    }
  });
}

/** Whether a page can show now: it belongs to the program in front, or to none. */
function isHere({ compiled, state }: StepContext, { device, program }: Page): boolean {
  return program === null || program === programFor(compiled, state, device);
}

/** On top of what shows. More than may be open: the oldest is forgotten, the way back stays. */
function openFolder(context: StepContext, { id, device }: Page): void {
  const open = context.state.folders[device] ?? [];
  if (open.at(-1) !== id) setFolders(context, device, [...open, id].slice(-FOLDERS_DEEP));
}

/** Says so where none is open. */
function closeFolders(
  context: StepContext,
  device: string,
  left: (open: readonly string[]) => readonly string[],
): void {
  const open = context.state.folders[device];
  if (open) setFolders(context, device, left(open));
  else context.changes.push({ kind: 'no-page', device, page: null, why: 'none-open' });
}

/** A device without open folders has no entry. */
function setFolders({ state }: StepContext, device: string, open: readonly string[]): void {
  state.folders = open.length > 0 ? withEntry(state.folders, device, open) : without(state.folders, device);
}

/** The one after or before the set that shows, round and round. */
function stepSet(context: StepContext, device: string, by: number): void {
  const { compiled, state } = context;
  const sets = setsNow(compiled, state, device);
  if (sets.length === 1) {
    context.changes.push({ kind: 'no-page', device, page: null, why: 'no-sets' });
    return;
  }
  const at = sets.indexOf(setOn(compiled, state, device));
  chooseSet(context, device, sets.at((at + by) % sets.length) ?? null);
}

/** Remembered for the program in front. */
function chooseSet({ compiled, state }: StepContext, device: string, set: string | null): void {
  const program = programFor(compiled, state, device) ?? NO_PROGRAM;
  state.sets = withEntry(state.sets, device, withEntry(state.sets[device] ?? {}, program, set));
}

/** A set that was chosen in the menu of a device's sets. */
export function chooseAsked(context: StepContext, device: string, set: string | null): void {
  tellingPages(context, [device], () => chooseSet(context, device, set));
}

/** Does something, and tells of every device whose pages are others after it. */
export function tellingPages<Value>(
  context: StepContext,
  devices: Iterable<string>,
  act: () => Value,
): Value {
  const shown = (device: string) => [
    folderOn(context.state, device),
    setOn(context.compiled, context.state, device),
  ];
  const before = [...devices].map((device) => [device, shown(device)] as const);
  const value = act();
  for (const [device, [folder, set]] of before) {
    const [newFolder = null, newSet = null] = shown(device);
    if (newFolder === folder && newSet === set) continue;
    const change: StateChange = { kind: 'page', device, folder: newFolder, set: newSet };
    context.changes.push(change);
  }
  return value;
}

/** The devices that have pages, or had some open. */
export function pagedDevices({ compiled, state }: StepContext): ReadonlySet<string> {
  return new Set([...Object.keys(state.folders), ...compiled.pages.sets.keys()]);
}

/** Folders close that belong to a program that is not in front, or that are there no more. */
export function closeElsewhere(context: StepContext): void {
  const { compiled, state } = context;
  for (const [device, open] of Object.entries(state.folders)) {
    const left = open.filter((id) => {
      const page = compiled.pages.byId.get(id);
      return page?.kind === 'folder' && page.device === device && isHere(context, page);
    });
    if (left.length < open.length) setFolders(context, device, left);
  }
}

/** Closes the folders of a device, or (null) of all, whose chosen sets are forgotten then too. */
export function forgetPages(context: StepContext, device: string | null): void {
  const { state } = context;
  tellingPages(context, device === null ? pagedDevices(context) : [device], () => {
    if (device !== null) setFolders(context, device, []);
    else {
      state.folders = {};
      state.sets = {};
    }
  });
}
