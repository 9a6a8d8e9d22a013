/** The words of the shell. */
export const WORDS = {
  views: 'Views',
  board: 'Board',
  rehearse: 'Rehearse',
  inFront: 'In front:',
  nothing: 'nothing',
  pinned: 'Pinned:',
  automatic: 'Automatic: follow the program in front',
  pin: (name: string) => `Stay with ${name}`,
  chip: 'Which profile applies',
  follows: (devices: string) => `— ${devices} follow it`,
  changed: (ms: number) =>
    ms < 0.1
      ? '— changed less than 0.1 ms after the window did'
      : `— changed ${ms.toFixed(1)} ms after the window did`,
  since: (time: string) => `In front since ${time}. Click to pin a profile or go back to automatic.`,
  undo: (what: string) => `Undo: ${what}`,
  redo: (what: string) => `Redo: ${what}`,
  nothingToUndo: 'Nothing to undo',
  nothingToRedo: 'Nothing to redo',
  saved: (time: string) => `Saved ${time}`,
  nothingYet: 'Saved',
  saving: 'Saving…',
  waiting: (count: number) =>
    `Not saved yet: ${count} ${count === 1 ? 'edit is' : 'edits are'} kept here and sent again`,
  theme: 'Theme',
  themes: { system: 'As the system', light: 'Paper (light)', dark: 'Graphite (dark)' },
  loading: 'Reading the set-up…',
  failed: 'The set-up could not be read.',
  tryingAgain: 'Nothing is lost. Trying again by itself…',
  notKept: (what: string) => `Could not ${what}.`,
  close: 'Close',
  notFound: 'There is no such page.',
  toBoard: 'Go to the Board',
  broken: 'This view met an error it did not expect.',
  brokenKept: 'Everything saved is kept. Reload the page to go on.',
  reload: 'Reload',
} as const;
