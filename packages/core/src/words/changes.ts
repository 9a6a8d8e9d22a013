import { WHEEL_MODES } from '../devices/index.ts';
import type { MenuOf, StateChange } from '../engine/index.ts';
import type { NoKey } from '../keys/layouts/index.ts';
import type { Setup } from '../setup/index.ts';
import {
  deviceName,
  intentName,
  layerName,
  macroName,
  pageName,
  programName,
  radialMenuName,
} from './names.ts';
import { tidy } from './numbers.ts';

/** What the engine changed of its own, in words; nothing for what is told otherwise. */
export function changeWords(setup: Setup, change: StateChange): string[] {
  switch (change.kind) {
    case 'profile':
    case 'let-go':
    case 'guard':
      return [];
    case 'layer':
      return [`Layer ${layerName(setup, change.layer)} is ${change.on ? 'on' : 'off'}.`];
    case 'page':
      return [`${deviceName(setup, change.device)} shows ${shownWords(setup, change)}.`];
    case 'no-page':
      return [noPageWords(setup, change)];
    case 'speed':
      return [`Pointer speed ${change.at + 1}.`];
    case 'wheel-mode':
      return [
        WHEEL_MODES[change.at] === 'free' ? 'The wheel turns freely.' : 'The wheel turns in its ratchet.',
      ];
    case 'computer': {
      const name = setup.devices.find(({ id }) => id === change.device)?.settings.computers[change.at];
      return [`It talks to ${name ?? `computer ${change.at + 1}`}.`];
    }
    case 'macro':
      return [`${macroName(setup, change.macro)} ${change.runs ? 'runs' : 'has ended'}.`];
    case 'until':
      return [untilWords(setup, change)];
    case 'ask': {
      const name = macroName(setup, change.macro);
      return [change.how === 'asks' ? `${name} asks.` : `Nobody answered ${name} within a minute.`];
    }
    case 'show': {
      const whose =
        change.device === null ? 'every control does' : `${deviceName(setup, change.device)} does`;
      return [change.shows ? `What ${whose} is shown.` : `What ${whose} is no longer shown.`];
    }
    case 'no-key':
      return [noKeyWords(change.shortcut, change.missing, change.layout)];
    case 'no-intent': {
      const intent = `“${intentName(change.intent)}”`;
      if (change.program === null) return [`Nothing is in front that has ${intent}: nothing is sent.`];
      return [`${programName(setup, change.program)} has no command for ${intent}: nothing is sent.`];
    }
    case 'radial-open':
      return [
        change.of.kind === 'menu'
          ? `${radialMenuName(setup, change.of.menu)} opens.`
          : `The sets of ${deviceName(setup, change.of.device)} are shown to choose from.`,
      ];
    case 'radial-highlight': {
      const item = itemName(setup, change.of, change.item);
      return [item ? `${item} is highlighted.` : 'Nothing is highlighted.'];
    }
    case 'radial-closed': {
      const item = itemName(setup, change.of, change.item);
      return [item ? `${item} is chosen.` : 'The menu closes.'];
    }
  }
}

/** What a macro's waiting for a window came to. */
function untilWords(setup: Setup, { macro, how, waited }: Extract<StateChange, { kind: 'until' }>): string {
  const name = macroName(setup, macro);
  switch (how) {
    case 'there':
      return `The window ${name} waits for is in front already.`;
    case 'came':
      return `The window ${name} waited for came after ${tidy(waited)} ms.`;
    case 'late':
      return `The window ${name} waited for did not come within ${tidy(waited)} ms.`;
  }
}

/** Why nothing was sent for a shortcut. */
function noKeyWords(shortcut: string, { keysBy }: NoKey, layout: string): string {
  return keysBy === 'place'
    ? `${shortcut} was not sent: this program reads places of keys, and there is none for it.`
    : `${shortcut} was not sent: it cannot be typed on ${layout}.`;
}

/** The folder on top, else the set. */
function shownWords(setup: Setup, { folder, set }: Extract<StateChange, { kind: 'page' }>): string {
  if (folder !== null) return `the folder ${pageName(setup, folder)}`;
  return set === null ? HOME : `the set ${pageName(setup, set)}`;
}

/** What a device shows without a page. */
const HOME = 'its home page';

/** Why no page came or went. */
function noPageWords(setup: Setup, { why, page, device }: Extract<StateChange, { kind: 'no-page' }>): string {
  switch (why) {
    case 'none-open':
      return 'No folder is open.';
    case 'no-sets':
      return `${deviceName(setup, device)} has no sets here.`;
    case 'other-program': {
      const found = setup.pages.find(({ id }) => id === page);
      return `${found?.name ?? page} belongs to ${programName(setup, found?.program ?? '')}, which is not in front.`;
    }
  }
}

/** An item's label; null where the menu has been edited meanwhile. */
function itemName(setup: Setup, of: MenuOf, item: number | null): string | null {
  if (item === null) return null;
  if (of.kind === 'sets') {
    const set = of.sets[item];
    return set === undefined ? null : set === null ? 'Home' : pageName(setup, set);
  }
  return setup.radialMenus.find(({ id }) => id === of.menu)?.items[item]?.label ?? null;
}
