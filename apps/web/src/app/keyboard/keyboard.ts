import type { Platform } from '@nimble-lever/core/keys';
import { type LayoutData, readLayout } from '@nimble-lever/core/keys/layouts';
import { ON_MAC } from '@nimble-lever/core/keys/layouts/onMac';
import { z } from 'zod';
import type { AppStore, AppThunk } from '../store.ts';
import { layoutChosen, layoutRead, otherLayoutRead, platformChosen } from './keyboardSlice.ts';

/** The keyboard belongs to the computer and not to the set-up, so the browser keeps it. */
const NAME = 'nimble-lever:keyboard';
/** Kept values are read like any other input: an older or damaged one counts as none. */
const keptSchema = z.object({
  platform: z.enum(['windows', 'mac', 'linux']).optional(),
  layout: z.string().max(40).optional(),
});
/** What the person chose; what is missing is found from the browser. */
type Kept = z.infer<typeof keptSchema>;

/** What reads a layout's file; nothing for a layout that does not ship. The list of all files comes when it is first asked. */
async function fileOf(id: string): Promise<(() => Promise<LayoutData>) | undefined> {
  const { layoutFile } = await import('./layoutFiles.ts');
  return layoutFile(id);
}

/** Takes a layout and keeps the choice; what was asked once is not asked again. */
export const chooseLayout =
  (id: string): AppThunk<Promise<void>> =>
  async (dispatch) => {
    keep({ layout: id });
    await dispatch(readLayoutFile(id, true));
  };

/** Chooses the platform, which decides how keys are called: the same key is Win, Super or ⌘. */
export const choosePlatform =
  (platform: Platform): AppThunk =>
  (dispatch, getState) => {
    keep({ platform });
    dispatch(platformChosen(platform));
    // A layout has other characters on a Mac.
    const { layoutId, known } = getState().keyboard;
    void dispatch(readLayoutFile(layoutId, known));
  };

/**
 * Reads the layout's file, a few kilobytes, when it is first needed; all of them would be half a megabyte.
 */
const readLayoutFile =
  (id: string, known: boolean): AppThunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { platform } = getState().keyboard;
    const file = await fileOf((platform === 'mac' && ON_MAC[id]) || id);
    if (!file) return;
    dispatch(layoutChosen({ id, known }));
    const layout = readLayout(await file());
    // The platform may have been changed meanwhile; then another file is on its way.
    if (getState().keyboard.platform === platform) dispatch(layoutRead({ id, layout }));
  };

/** Reads the layouts that the set-up says other computers have, now and whenever it says another. */
export function readOtherLayouts(store: AppStore): void {
  const asked = new Set<string>();
  const keepUp = () => {
    const { setup, keyboard } = store.getState();
    for (const id of Object.values(setup.setup?.keyboards ?? {})) {
      if (asked.has(id) || id === keyboard.layoutId) continue;
      asked.add(id);
      // Without its file the computer is taken to have this one's keyboard; the next page tries again.
      void fileOf(id)
        .then((read) => read?.())
        .then(
          (data) => data && store.dispatch(otherLayoutRead(readLayout(data))),
          () => undefined,
        );
    }
  };
  store.subscribe(keepUp);
  keepUp();
}

/** Finds the keyboard: as it was chosen before, else as the browser tells; else it is asked once. */
export async function findKeyboard(store: AppStore): Promise<void> {
  const kept = readKept();
  if (kept.platform) store.dispatch(platformChosen(kept.platform));
  const told = kept.layout ? null : await toldByBrowser();
  const layout = kept.layout ?? told ?? 'us';
  await store.dispatch(readLayoutFile(layout, kept.layout !== undefined || told !== null));
}

/**
 * What `navigator.keyboard.getLayoutMap()` gives (Keyboard Map, W3C community draft); only some browsers have
 * it.
 */
interface KeyboardMap {
  entries(): Iterable<[string, string]>;
}

/** The layout that agrees with the browser's Keyboard Map API; null where it has none. */
async function toldByBrowser(): Promise<string | null> {
  const { keyboard } = navigator as { keyboard?: { getLayoutMap?: () => Promise<KeyboardMap> } };
  try {
    const map = await keyboard?.getLayoutMap?.();
    const heard = new Map(map ? [...map.entries()] : []);
    if (heard.size === 0) return null;
    const { guessLayouts } = await import('@nimble-lever/core/keys/layouts/list');
    return guessLayouts(heard)[0]?.id ?? null;
  } catch {
    return null;
  }
}

/** What was chosen before; nothing where it cannot be read. */
function readKept(): Kept {
  try {
    return keptSchema.safeParse(JSON.parse(localStorage.getItem(NAME) ?? '{}')).data ?? {};
  } catch {
    return {};
  }
}

/** Keeps a choice beside those already kept. */
function keep(change: Kept): void {
  try {
    localStorage.setItem(NAME, JSON.stringify({ ...readKept(), ...change }));
  } catch {
    // A full or forbidden store: the choice holds until the page is closed.
  }
}
