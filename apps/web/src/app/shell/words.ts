/** The words of the shell. */
export const WORDS = {
  // The rail and the line above every view.
  views: 'Views',
  board: 'Board',
  rig: 'Rig',
  programs: 'Programs',
  macros: 'Macros',
  panels: 'Panels',
  rehearse: 'Rehearse',
  vault: 'Vault',
  settings: 'Settings',
  addDevice: 'Add a device',
  lend: 'Lend devices',
  inFront: 'In front:',
  nothing: 'nothing',
  pinned: 'Pinned:',
  automatic: 'Automatic: follow the program in front',
  nextProfile: 'Next profile',
  previousProfile: 'Previous profile',
  pin: (name: string) => `Stay with ${name}`,
  chip: 'Which profile applies',
  follows: (devices: string, count: number) => `— ${devices} ${count === 1 ? 'follows' : 'follow'} it`,
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
  // The time between window and profile is told, because it is what one feels.
  changed: (ms: number) =>
    ms < 0.1
      ? '— changed less than 0.1 ms after the window did'
      : `— changed ${ms.toFixed(1)} ms after the window did`,
  since: (time: string) => `In front since ${time}. Click to pin a profile or go back to automatic.`,
  find: 'Find anything',
  skip: 'Go to the view',
  foundNothing: 'Nothing is called that, nor anything like it.',
  // What would be undone is named: a bare "Undo" after a day's work is a gamble.
  undo: (what: string) => `Undo: ${what}`,
  redo: (what: string) => `Redo: ${what}`,
  nothingToUndo: 'Nothing to undo',
  nothingToRedo: 'Nothing to redo',
  onlyLookedAt:
    'This is the set-up as it was, to look at and try. Nothing was changed; go back to now to edit.',
  // Whether all is saved, in a word; if not, what happens by itself.
  saved: (time: string) => `Saved ${time}`,
  nothingYet: 'Saved',
  saving: 'Saving…',
  waitingBecause: (detail: string) => `${detail} It is tried again by itself.`,
  waiting: (count: number) =>
    `Not saved yet: ${count} ${count === 1 ? 'edit is' : 'edits are'} kept here and sent again`,
  // Themes are named after what they look like.
  theme: 'Theme',
  themes: { system: 'As the system', light: 'Paper (light)', dark: 'Graphite (dark)' },
  // What is said when something does not work: what happened, that nothing is lost, what is being done.
  loading: 'Reading the set-up…',
  failed: 'The set-up could not be read.',
  firstSetUp: 'Open the first set-up',
  tryingAgain: 'Nothing is lost. Trying again by itself…',
  notKept: (what: string) => `Could not ${what}.`,
  notAllowed: (why: string) => `${why} Nothing was changed.`,
  tooLarge: 'This is more than can be saved as one edit (2 MB). Nothing was changed; do it in parts.',
  notReached: (why: string) => `The edits from before could not be read. ${why} Nothing was changed.`,
  // Others edit too: who did what, and how to have one's own back.
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
