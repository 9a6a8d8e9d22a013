/** The words of the shell. */
export const WORDS = {
  views: 'Views',
  board: 'Board',
  rig: 'Rig',
  rehearse: 'Rehearse',
  settings: 'Settings',
  addDevice: 'Add a device',
  inFront: 'In front:',
  nothing: 'nothing',
  pinned: 'Pinned:',
  automatic: 'Automatic: follow the program in front',
  pin: (name: string) => `Stay with ${name}`,
  chip: 'Which profile applies',
  follows: (devices: string) => `— ${devices} follow it`,
  kinds: {
    mouse: 'mouse',
    dial: 'dial',
    'key-pad': 'pad',
    'pen-tablet': 'tablet',
    shuttle: 'shuttle',
    pedals: 'pedals',
    'touch-panel': 'panel',
    voice: 'voice',
  },
  changed: (ms: number) =>
    ms < 0.1
      ? '— changed less than 0.1 ms after the window did'
      : `— changed ${ms.toFixed(1)} ms after the window did`,
  since: (time: string) => `In front since ${time}. Click to pin a profile or go back to automatic.`,
  find: 'Find anything',
  skip: 'Go to the view',
  foundNothing: 'Nothing has that name or shortcut.',
  undo: (what: string) => `Undo: ${what}`,
  redo: (what: string) => `Redo: ${what}`,
  nothingToUndo: 'Nothing to undo',
  nothingToRedo: 'Nothing to redo',
  saved: (time: string) => `Saved ${time}`,
  nothingYet: 'Saved',
  saving: 'Saving…',
  waitingBecause: (detail: string) => `${detail} It is tried again by itself.`,
  waiting: (count: number) =>
    `Not saved yet: ${count} ${count === 1 ? 'edit is' : 'edits are'} kept here and sent again`,
  askKeyboard:
    'This browser does not say which keyboard you have. Keycaps show your labels once you choose it.',
  chooseKeyboard: 'Choose',
  itIsUs: 'United States',
  needsAltGr: (shortcut: string) => `${shortcut} needs AltGr on your keyboard; many programs miss it.`,
  byPosition: (layout: string) =>
    `${layout} does not type that character by one key; the key at its place on a United States keyboard is taken.`,
  noSuchKey: (key: string, layout: string) =>
    `A ${layout} keyboard has no ${key} key to press; it is sent all the same.`,
  takeInstead: (shortcut: string) => `Use ${shortcut}`,
  insteadMeans: {
    character: 'Types the same on your keyboard',
    place: 'The key in the same place as on a United States keyboard, for programs that go by places',
  },
  kept: {
    system: (shortcut: string, does: string) => `The system keeps ${shortcut} for itself: it ${does}.`,
    browser: (shortcut: string, does: string) => `A browser keeps ${shortcut} for itself: it ${does}.`,
  },
  theme: 'Theme',
  themes: { system: 'As the system', light: 'Paper (light)', dark: 'Graphite (dark)' },
  loading: 'Reading the set-up…',
  failed: 'The set-up could not be read.',
  tryingAgain: 'Nothing is lost. Trying again by itself…',
  notKept: (what: string) => `Could not ${what}.`,
  notAllowed: (why: string) => `${why} Nothing was changed.`,
  tooLarge: 'This is more than can be saved as one edit (2 MB). Nothing was changed; do it in parts.',
  notReached: (why: string) => `The edits from before could not be read. ${why} Nothing was changed.`,
  overwritten: (by: string, what: string, where: string) =>
    `${by} changed ${where} (${what}), which you had just changed. Theirs stands.`,
  removedByOther: (by: string, where: string) => `${by} removed ${where}, which you had just changed.`,
  putBack: 'Put mine back',
  keptAside: (what: string) => `Could not save “${what}”; it is kept aside.`,
  toSettings: 'Look at it',
  outdated: 'Nimble Lever was brought up to date. Load the page anew to go on; nothing is lost.',
  unreadable: (count: number) =>
    count === 1
      ? 'One part of the set-up cannot be read. It is kept, and everything else works.'
      : `${count} parts of the set-up cannot be read. They are kept, and everything else works.`,
  earlierEdit: 'an earlier edit',
  close: 'Close',
  notFound: 'There is no such page.',
  toBoard: 'Go to the Board',
  broken: 'This view met an error it did not expect.',
  brokenKept: 'Everything saved is kept. Reload the page to go on.',
  reload: 'Reload',
} as const;
