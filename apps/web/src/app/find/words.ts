/** The words of Find about what the page itself can show and do. */
export const WORDS = {
  view: 'View',
  action: 'Action',
  places: {
    keyboard: 'Keyboard layout',
    platform: 'Platform',
    author: 'Your name',
    windows: 'Windows of programs',
    profiles: 'Profiles',
    compare: 'Compare profiles',
    readyMade: 'Ready-made',
    intents: 'Intents',
    newMacro: 'New macro',
    addProgram: 'Add a program',
    pasteList: 'Paste a list of commands',
    automatic: 'Go back to automatic',
    letGo: 'Let go of everything',
    startAfresh: 'Start afresh',
    undo: 'Undo the last edit',
    redo: 'Redo the last edit',
    themes: { system: 'Theme of the system', light: 'Light theme', dark: 'Dark theme' },
  },
} as const;
