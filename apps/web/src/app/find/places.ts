import { feed } from '../engine/feed.ts';
import { pinProfile, stepProfile } from '../engine/pinning.ts';
import { redo, undo } from '../setup/edits.ts';
import { SET_UP_WORDS } from '../shell/setUpWords.ts';
import { WORDS as SHELL_WORDS } from '../shell/words.ts';
import type { AppThunk } from '../store.ts';
import type { Found } from './findSource.ts';
import { WORDS } from './words.ts';

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
  [SHELL_WORDS.board, '/board', 'matrix assign controls'],
  [SHELL_WORDS.rig, '/rig', 'devices tuning'],
  [SHELL_WORDS.programs, '/programs', 'applications software commands shortcuts'],
  [WORDS.places.windows, '/programs?tab=windows', 'rules title class executable'],
  [WORDS.places.profiles, '/programs?tab=profiles', 'based on copy'],
  [WORDS.places.compare, '/programs?tab=compare', 'differences side by side'],
  [WORDS.places.readyMade, '/programs?tab=ready-made', 'templates presets starting'],
  [WORDS.places.intents, '/programs?tab=intents', 'ideas rename merge'],
  [SHELL_WORDS.macros, '/macros', 'steps chain record sequence'],
  [SHELL_WORDS.panels, '/panels', 'pages folders sets faces keys drawing'],
  [SHELL_WORDS.rehearse, '/rehearse', 'practice try test'],
  [SHELL_WORDS.vault, '/vault', 'history log past earlier go back edits'],
  [SET_UP_WORDS.snapshots, '/vault?tab=snapshots', 'versions keep states'],
  [SET_UP_WORDS.moments, '/vault?tab=compare', 'differences then now take over'],
  [SET_UP_WORDS.setUps, '/vault?tab=set-ups', 'switch new bin trash rename copy'],
  [SET_UP_WORDS.files, '/vault?tab=files', 'export import save share csv markdown'],
  [SET_UP_WORDS.demoAgain, '/vault?tab=set-ups', 'example afresh'],
  [SHELL_WORDS.lend, '/lend', 'use this browser at another desk remote'],
  [SHELL_WORDS.settings, '/settings', 'options preferences'],
  [WORDS.places.keyboard, '/settings', 'layout language keys'],
  [WORDS.places.platform, '/settings', 'system windows mac linux'],
  [WORDS.places.startAfresh, '/settings', 'empty new remove demo begin'],
  [WORDS.places.author, '/settings', 'who name author'],
];

/** What the page itself can show and do, whatever view is open. */
export const PAGE_FOUND: readonly Found[] = [
  ...PLACES.map(([name, path, also]) =>
    found(
      `place ${path} ${name}`,
      name,
      path === '/settings' ? SHELL_WORDS.settings : WORDS.view,
      () => path,
      also,
    ),
  ),
  found('do add-program', WORDS.places.addProgram, WORDS.action, () => '/programs?do=add', 'new application'),
  found(
    'do paste-list',
    WORDS.places.pasteList,
    WORDS.action,
    () => '/programs?do=list',
    'import csv markdown',
  ),
  found(
    'do automatic',
    WORDS.places.automatic,
    WORDS.action,
    (dispatch) => {
      dispatch(pinProfile(null));
      return null;
    },
    'unpin follow front',
  ),
  found(
    'do next-profile',
    SHELL_WORDS.nextProfile,
    WORDS.action,
    (dispatch) => {
      dispatch(stepProfile(1));
      return null;
    },
    'pin switch',
  ),
  found(
    'do previous-profile',
    SHELL_WORDS.previousProfile,
    WORDS.action,
    (dispatch) => {
      dispatch(stepProfile(-1));
      return null;
    },
    'pin switch',
  ),
  found(
    'do let-go',
    WORDS.places.letGo,
    WORDS.action,
    (dispatch) => {
      dispatch(feed({ kind: 'reset' }));
      return null;
    },
    'release stuck held keys panic',
  ),
  found('do new-macro', WORDS.places.newMacro, WORDS.action, () => '/macros?do=new', 'record steps chain'),
  found('do add-device', SHELL_WORDS.addDevice, WORDS.action, () => '/add-device', 'new hardware'),
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
