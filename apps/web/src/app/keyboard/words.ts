/** The words about the keyboard, and what it can type. */
export const WORDS = {
  // What the browser does not tell about the keyboard, and what follows from that for shortcuts.
  askKeyboard:
    'This browser does not say which keyboard you have. Keycaps show your labels once you choose it.',
  chooseKeyboard: 'Choose',
  itIsUs: 'United States',
  // Shortcuts of older versions were places of keys; nobody can see on which keyboard they were pressed.
  askMadeOn:
    'The shortcuts of this set-up were stored by an older version and are read as those of a United States keyboard. On which keyboard was it made?',
  another: 'Another…',
  untypeable: (count: number, all: number, layout: string) =>
    `${count} of ${all} shortcuts cannot be typed well on ${layout}.`,
  lookAtThem: 'Look at them',
  needsAltGr: (shortcut: string) => `${shortcut} needs AltGr on your keyboard; many programs miss it.`,
  notTyped: (shortcut: string, layout: string) => `${shortcut} cannot be typed on ${layout}.`,
  noPlace: (shortcut: string) => `This program reads places of keys, and there is none for ${shortcut}.`,
  noSuchKey: (key: string, layout: string) =>
    `A ${layout} keyboard has no ${key} key to press; it is sent all the same.`,
  takeInstead: (shortcut: string) => `Use ${shortcut}`,
  insteadMeans: 'The key in the same place as on a United States keyboard, whatever is printed on it',
  kept: {
    system: (shortcut: string, does: string) => `The system keeps ${shortcut} for itself: it ${does}.`,
    browser: (shortcut: string, does: string) => `A browser keeps ${shortcut} for itself: it ${does}.`,
  },
} as const;
