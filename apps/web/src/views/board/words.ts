import type { BoardRow } from './boardModel.ts';

/** The Board's words. */
export const WORDS = {
  control: 'Control',
  inFront: 'in front',
  matrix: 'Controls and programs',
  rig: 'Devices',
  keys: 'Arrows move · Enter chooses · R records · Delete goes back to inherit · ? shows all keys',
  help: {
    title: 'Keys of the Board',
    move: 'Move from cell to cell',
    ends: 'First and last program',
    pages: 'Eight controls up and down',
    choose: 'Choose a command',
    record: 'Record a shortcut',
    leave: 'Leave recording or choosing',
    inherit: 'Go back to inherit',
    copy: 'Copy what a cell does, and set it in another',
    undo: 'Undo and redo',
    find: 'Find a command, key or control',
    keys: 'Show these keys',
  },
  nothingSelected: 'Select a cell to see and change what the control does there.',
  does: 'Does',
  chooseCommand: 'Choose a command',
  shortcut: 'Shortcut',
  typeShortcut: 'Type one',
  record: 'Record',
  pressKeys: 'Press keys… they are taken as they come up.',
  escLeaves: 'Escape leaves',
  stop: 'Stop',
  unknownKey: (code: string) => `This browser calls that key “${code}”, which we do not know. Press another.`,
  pressStyle: 'Press style',
  follow: 'Follow',
  tap: 'Tap',
  latch: 'Latch',
  repeat: 'Repeat',
  release: 'Release',
  usedBy: 'Used by',
  styleMeans: {
    follow: 'down with the control, up with it',
    tap: 'down and up at once',
    latch: 'down; up when pressed again',
    repeat: 'again and again while held',
    release: 'a tap when it comes up',
  },
  turnTaps: 'Each step taps.',
  every: (step: string) => `Every ${step} of turn`,
  face: 'Face',
  label: 'Label',
  icon: 'Icon',
  noIcon: 'No icon',
  colour: 'Colour',
  note: 'Note',
  notePlaceholder: 'Why did I do this?',
  setFirst: 'Nothing is set here yet. Choose a command or record a shortcut to give it a face and a note.',
  inherit: 'Inherit',
  native: 'Native',
  off: 'Off',
  rehearse: 'Rehearse it',
  why: 'Why this one:',
} as const;

/** A device's heading in the matrix, with the step of its dial. */
export function groupName({ device }: BoardRow): string {
  const rotor = device.controls.find(({ rotor: found }) => found?.kind === 'continuous')?.rotor;
  return rotor?.kind === 'continuous' ? `${device.name} — one step every ${rotor.stepDegrees}°` : device.name;
}
