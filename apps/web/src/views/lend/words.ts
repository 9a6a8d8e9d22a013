import type { Desk } from '@nimble-lever/core/desks';

/** The words of lending this browser's devices to a desk. */
export const WORDS = {
  means:
    'What this browser hears of pedals, pens, pads, gamepads, MIDI and HID devices is used at a desk that is open in another browser or on another computer, as if it were plugged in there. Keep this page open.',
  desk: 'At which desk',
  lastUsed: 'the one that is used',
  kinds: { practice: 'practice desk', computer: 'computer' } satisfies Record<Desk['kind'], string>,
  cannot: (things: readonly string[]) => `This desk cannot ${things.join(', or ')}.`,
  noDesk: 'No desk is there. Open Rehearse in another browser; it appears here by itself.',
  noServer: 'The server does not answer. It is tried again by itself.',
  devices: 'Which devices',
  notHeard: 'not heard yet',
  notHeardMeans:
    '“Find a control” in Rig tells what this browser hears of a device, and which control that is.',
  tooMany: (most: number) => `At most ${most} at a time.`,
  lend: 'Lend them',
  stop: 'Stop lending',
  choose: 'Choose a device first.',
  off: 'Nothing is lent.',
  waiting: 'Waiting for a desk…',
  on: (desk: string) => `In use at ${desk}`,
  pad: 'Mouse and pen are heard over this field',
  padOff: 'Once devices are lent, mouse and pen are heard over this field',
  heard: 'Heard here',
  nothingHeard: 'Nothing yet. Use a device.',
  notLent: 'belongs to no device that is lent',
  happened: 'What happened there',
  nothingHappened: 'Nothing yet.',
  windows: 'Open there',
  inFront: 'in front',
} as const;
