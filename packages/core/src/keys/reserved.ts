import type { Platform } from './keyTable.ts';

/** A shortcut that the system or the browser keeps for itself, and what it does there. */
export interface Reserved {
  /** In our notation. */
  readonly shortcut: string;
  /** Who keeps it. */
  readonly by: 'system' | 'browser';
  /** In the words of a sentence: "switches windows". */
  readonly does: string;
}

/** What systems with windows keep to themselves. */
const SWITCHING: readonly Reserved[] = [
  { shortcut: 'Alt+Tab', by: 'system', does: 'switches windows' },
  { shortcut: 'Shift+Alt+Tab', by: 'system', does: 'switches windows' },
  { shortcut: 'Alt+F4', by: 'system', does: 'closes the window' },
  { shortcut: 'PrintScreen', by: 'system', does: 'takes a picture of the screen' },
];
/** What browsers keep to themselves: a page cannot prevent these (common practice, no source; tried in Chromium). */
const TABS: readonly Reserved[] = [
  { shortcut: 'Ctrl+W', by: 'browser', does: 'closes the tab' },
  { shortcut: 'Ctrl+T', by: 'browser', does: 'opens a tab' },
  { shortcut: 'Ctrl+N', by: 'browser', does: 'opens a window' },
  { shortcut: 'Ctrl+Shift+N', by: 'browser', does: 'opens a private window' },
  { shortcut: 'Ctrl+Shift+T', by: 'browser', does: 'opens the tab closed last' },
  { shortcut: 'Ctrl+Shift+W', by: 'browser', does: 'closes the window' },
  { shortcut: 'Ctrl+Tab', by: 'browser', does: 'goes to the next tab' },
  { shortcut: 'Ctrl+Shift+Tab', by: 'browser', does: 'goes to the tab before' },
];

/** What each platform keeps, as it comes. Common practice, no source. */
const RESERVED: Readonly<Record<Platform, readonly Reserved[]>> = {
  windows: [
    ...SWITCHING,
    ...TABS,
    { shortcut: 'Ctrl+Alt+Delete', by: 'system', does: 'opens the security screen' },
    { shortcut: 'Ctrl+Escape', by: 'system', does: 'opens the start menu' },
    { shortcut: 'Alt+Escape', by: 'system', does: 'switches windows' },
    { shortcut: 'Meta', by: 'system', does: 'opens the start menu' },
    { shortcut: 'Meta+L', by: 'system', does: 'locks the screen' },
    { shortcut: 'Meta+D', by: 'system', does: 'shows the desktop' },
    { shortcut: 'Meta+Tab', by: 'system', does: 'shows all windows' },
  ],
  mac: [
    { shortcut: 'Meta+Tab', by: 'system', does: 'switches programs' },
    { shortcut: 'Meta+Space', by: 'system', does: 'opens the search' },
    { shortcut: 'Alt+Meta+Escape', by: 'system', does: 'ends programs' },
    { shortcut: 'Ctrl+Meta+Q', by: 'system', does: 'locks the screen' },
    { shortcut: 'Shift+Meta+3', by: 'system', does: 'takes a picture of the screen' },
    { shortcut: 'Shift+Meta+4', by: 'system', does: 'takes a picture of the screen' },
    { shortcut: 'Meta+Q', by: 'browser', does: 'ends the browser' },
    { shortcut: 'Meta+W', by: 'browser', does: 'closes the tab' },
    { shortcut: 'Meta+T', by: 'browser', does: 'opens a tab' },
    { shortcut: 'Meta+N', by: 'browser', does: 'opens a window' },
  ],
  linux: [
    ...SWITCHING,
    ...TABS,
    { shortcut: 'Alt+F2', by: 'system', does: 'runs a command' },
    { shortcut: 'Meta', by: 'system', does: 'shows all windows' },
    { shortcut: 'Meta+L', by: 'system', does: 'locks the screen' },
    { shortcut: 'Ctrl+Alt+Delete', by: 'system', does: 'ends the session' },
  ],
};

/** Who keeps a shortcut (in our notation) for itself on a platform, or null. */
export function reservedBy(shortcut: string, platform: Platform): Reserved | null {
  return RESERVED[platform].find((each) => each.shortcut === shortcut) ?? null;
}
