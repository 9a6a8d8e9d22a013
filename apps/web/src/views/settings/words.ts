/** The words of Settings. */
export const WORDS = {
  keyboard: 'Keyboard',
  about:
    'A shortcut says what a program reads; which keys that takes is found on your keyboard, so that Ctrl+Z is undo on every computer. This is kept in this browser, as it belongs to this computer.',
  layout: 'Layout',
  platform: 'System',
  platforms: { windows: 'Windows', mac: 'macOS', linux: 'Linux' },
  drawn: 'The main keys, as they are labelled',
  reading: 'Reading the layout…',
  sample: 'So shortcuts look:',
  typing: 'Shortcuts on this keyboard',
  allTyped: (all: number, layout: string) => `All ${all} shortcuts of this set-up can be typed on ${layout}.`,
  untypeable: (count: number, all: number, layout: string) =>
    `${count} of ${all} shortcuts cannot be typed well on ${layout}. What you choose for a command holds on this layout only; on others it stays as it is.`,
  why: {
    'no-key': 'no key types it',
    altgr: 'needs AltGr (on a Mac, Option), which many programs miss',
  },
  common: 'Common',
  own: 'Bound by itself',
  samePlace: 'Same place:',
  free: 'Free:',
  menuShows: 'As its menu shows it',
  madeOn: 'On which keyboard was this set-up made?',
  madeOnMeans:
    'Its shortcuts were stored by an older version, which kept the places of keys. They are read as those of a United States keyboard. If it was made on another one, they are read anew; that can be undone.',
  readAnew: 'Read them so',
  keeping: 'Your edits',
  authorMeans:
    'Every edit bears a name. When two of you change the same thing, the other one is told by whom, and can put it back. Undo takes back your own edits only.',
  author: 'Name on edits made in this browser',
  allKept: 'Every edit is saved or on its way, and all of the set-up can be read.',
  aside: 'Edits the server could not save',
  asideMeans:
    'They are kept in this browser and hold up nothing else. Try them again, or keep them as a file.',
  tryAgain: 'Try again',
  tryAgainOf: (what: string) => `Try again: ${what}`,
  asFile: 'As a file',
  asFileOf: (what: string) => `As a file: ${what}`,
  drop: 'Drop',
  dropOf: (what: string) => `Drop: ${what}`,
  unreadable: 'Parts that cannot be read',
  unreadableMeans:
    'They are kept as they were found and have no effect; what hangs on them is listed too. Removing can be undone.',
  parts: {
    device: 'Device',
    program: 'Program',
    command: 'Command',
    layer: 'Layer',
    profile: 'Profile',
    macro: 'Macro',
    'radial-menu': 'Radial menu',
    binding: 'Binding',
  },
  remove: 'Remove',
  removeOf: (name: string) => `Remove ${name}`,
  removeAll: 'Remove all of them',
  start: 'Start afresh',
  startMeans: (name: string) =>
    `Takes devices, programs, profiles, layers, macros and menus out of “${name}” and leads through the first steps. It is one edit: Undo brings all of it back.`,
  startEmpty: 'Start with an empty set-up',
  newName: 'My desk',
} as const;
