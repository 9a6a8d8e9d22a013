/** The words of Rehearse. */
export const WORDS = {
  ownDevices: 'My own devices',
  heardList: 'Heard',
  noControl: 'no control of the rig',
  close: 'Close',
  practiceDesk: 'Practice desk',
  tray: 'Devices to press and turn',
  trayHint: 'Press and turn with the pointer, or with Space and the arrow keys.',
  unplugged: 'not connected',
  lowBattery: (percent: number) => `Battery low: ${percent} %`,
  showDevice: 'Devices in the tray',
  padOf: (device: string) =>
    `${device}, pad: arrow keys move the pointer, Space touches, 1 and 2 are the switches`,
  padHint: 'Move here: the pointer follows. Press: touch. 1, 2: switches.',
  mousePadHint: 'Move here: the pointer follows.',
  mousePadOf: (device: string) => `${device}, pad: arrow keys move the pointer`,
  happened: 'What happened',
  newest: 'newest first',
  nothingYet: 'Nothing yet. Turn the Bench dial or press a key of the Twelve pad below.',
  held: 'Held now',
  nothingHeld: 'Nothing — every key that went down has come up.',
  letGo: 'Let go of everything',
  clear: 'Clear the list',
  nothing: 'nothing',
  runs: (program: string, command: string, count: number) =>
    `${program} runs “${command}”${count > 1 ? ` ×${count}` : ''}.`,
  seconds: (t: number) => `${(t / 1000).toFixed(3)} s`,
} as const;
