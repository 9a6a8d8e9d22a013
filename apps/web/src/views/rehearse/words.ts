import type { FaceState } from '@nimble-lever/core/engine';

/** The words of Rehearse. */
export const WORDS = {
  ownDevices: 'My own devices',
  heardList: 'Heard',
  noControl: 'no control of the rig',
  close: 'Close',
  practiceDesk: 'Practice desk',
  tray: 'Devices to press and turn',
  trayHint: 'Press and turn with the pointer, or with Space, Up and Down.',
  unplugged: 'not connected',
  /** What a face shows of what goes on, for those who do not see it. */
  goesOn: ({ on, queued }: FaceState) => `${on ? ', on' : ''}${queued > 0 ? `, ${queued} waiting` : ''}`,
  lowBattery: (percent: number) => `Battery low: ${percent} %`,
  madeRoom: (gone: string) => `${gone} made room.`,
  showDevice: 'Devices in the tray',
  padOf: (device: string) =>
    `${device}, pad: arrow keys move the pointer, Space touches, 1 and 2 are the switches`,
  padHint: 'Move here: the pointer follows. Press: touch. 1, 2: switches.',
  mousePadHint: 'Move here: the pointer follows.',
  mousePadOf: (device: string) => `${device}, pad: arrow keys move the pointer`,
  say: 'Say something',
  sayIt: 'Say it',
  sayHint: 'It is heard as it is typed.',
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
  hasNothing: (program: string) => `${program} has nothing for`,
  comesUp: 'comes up',
  // From a hundred seconds in minutes, which are no wider.
  seconds: (t: number) => {
    if (t < 100_000) return `${(t / 1000).toFixed(3)} s`;
    const tenths = Math.floor(t / 100);
    const seconds = ((tenths % 600) / 10).toFixed(1).padStart(4, '0');
    return `${Math.floor(tenths / 600)}:${seconds}`;
  },
} as const;
