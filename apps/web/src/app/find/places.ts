import { redo, undo } from '../setup/edits.ts';
import { WORDS } from '../shell/words.ts';
import type { AppThunk } from '../store.ts';
import type { Found } from './findSource.ts';

const found = (key: string, name: string, owner: string, go: AppThunk<string | null>, also = ''): Found => ({
  key,
  name,
  owner,
  also,
  shortcut: null,
  hint: null,
  go,
});

/** Views and settings by name, with words that people look for them by. */
const PLACES: readonly (readonly [name: string, path: string, also: string])[] = [
  [WORDS.board, '/board', 'matrix assign controls'],
  [WORDS.rig, '/rig', 'devices tuning'],
  [WORDS.rehearse, '/rehearse', 'practice try test'],
  [WORDS.settings, '/settings', 'options preferences'],
  [WORDS.places.keyboard, '/settings', 'layout language keys'],
  [WORDS.places.platform, '/settings', 'system windows mac linux'],
  [WORDS.places.author, '/settings', 'who name author'],
];

/** What the page itself can show and do, whatever view is open. */
export const PAGE_FOUND: readonly Found[] = [
  ...PLACES.map(([name, path, also]) =>
    found(
      `place ${path} ${name}`,
      name,
      path === '/settings' ? WORDS.settings : WORDS.view,
      () => path,
      also,
    ),
  ),
  found('do add-device', WORDS.addDevice, WORDS.action, () => '/add-device', 'new hardware'),
  found('do undo', WORDS.places.undo, WORDS.action, (dispatch) => {
    void dispatch(undo());
    return null;
  }),
  found('do redo', WORDS.places.redo, WORDS.action, (dispatch) => {
    void dispatch(redo());
    return null;
  }),
  ...(['system', 'light', 'dark'] as const).map((theme) => ({
    ...found(
      `do theme ${theme}`,
      WORDS.places.themes[theme],
      WORDS.action,
      () => null,
      'theme colours night',
    ),
    theme,
  })),
];
