/** The words of the page that pairs a browser. */
export const WORDS = {
  title: 'Pair this browser',
  means:
    'Nimble Lever runs on another computer. There, in Settings or by “Use it live…” in Panels, have a code made, and type it here.',
  code: 'Code of six digits',
  name: 'What this browser is called there',
  pair: 'Pair',
  pairing: 'Pairing…',
  unreached: 'The server does not answer. Look whether this device is in the same network, and try again.',
  panelOnly: (device: string) =>
    `This browser may show the panel “${device}”. With another code it may do something else.`,
  toPanel: 'Go to the panel',
  paired: 'This browser is paired, and may do everything.',
  own: 'This is the computer Nimble Lever runs on, or a browser with its key: there is nothing to pair.',
  goOn: 'Go on',
} as const;
