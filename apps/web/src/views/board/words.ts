import type { BoardRow } from './boardModel.ts';

/** The Board's words. */
export const WORDS = {
  control: 'Control',
  inFront: 'in front',
  matrix: 'Controls and programs',
  rig: 'Devices',
  keys: 'Arrows move · Enter chooses · R records · Delete goes back to inherit',
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
