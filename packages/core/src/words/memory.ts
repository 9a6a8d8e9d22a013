import { legendOf } from '../keys/index.ts';
import type { MemoryDoes, MemoryProblem, MemoryReason } from '../memory/index.ts';
import { wheelText } from './sent.ts';

/** Why a binding cannot be kept by a device alone. */
const REASONS: Readonly<Record<MemoryReason, string>> = {
  trigger: 'Holds, double presses, nudges and the like need Nimble Lever to tell them apart.',
  style: 'Latching, repeating and sending on release need Nimble Lever.',
  guard: 'Asking for a longer or a second press needs Nimble Lever.',
  target: 'Sending to a named program needs Nimble Lever.',
  'heard-by': 'Being heard in the background needs Nimble Lever.',
  waits: 'A macro with waits needs Nimble Lever to time it.',
  macro: 'Only a macro of plain shortcuts, run once, fits.',
  text: 'Text depends on the keyboard layout, which the device does not know.',
  show: 'Showing what controls do needs Nimble Lever.',
  radial: 'A radial menu needs Nimble Lever to draw it.',
  program: 'Switching programs needs Nimble Lever.',
  profile: 'Switching profiles needs Nimble Lever.',
  layer: 'Layers need Nimble Lever.',
  page: 'Going to another page needs Nimble Lever. What is on the page can be kept in a slot of its own.',
  message: 'Control messages need Nimble Lever.',
  pointer: 'What depends on the pointer or the device’s state needs Nimble Lever.',
  intent: 'Which command an intent is depends on the program in front.',
  'no-key': 'The keyboard’s layout has no key for it.',
  key: 'No USB usage stands for one of its keys.',
  full: 'No room is left in the slot.',
};

/** Why something does not fit in a device's memory, in a sentence. */
export function memoryReasonWords(reason: MemoryReason): string {
  return REASONS[reason];
}

/** Why a slot cannot be read. */
const PROBLEMS: Readonly<Record<MemoryProblem, string>> = {
  empty: 'Nothing is stored in this slot.',
  damaged: 'What is stored here is damaged. Store it again.',
  newer: 'What is stored here is of a newer version of Nimble Lever.',
  'other-device': 'What is stored here was made for another device. Store it again.',
};

/** What is wrong with what was read back, in a sentence. */
export function memoryProblemWords(problem: MemoryProblem): string {
  return PROBLEMS[problem];
}

/** What a control does by its device's memory, as people read it; null is nothing kept. */
export function memoryDoesWords(does: MemoryDoes | null): string {
  const chord = (codes: readonly string[]) => codes.map((code) => legendOf(code)).join('+');
  switch (does?.kind) {
    case undefined:
      return 'not kept';
    case 'keys':
      return chord(does.codes);
    case 'steps':
      return does.chords.map(chord).join(', ');
    case 'button':
      return `mouse button ${does.button + 1}`;
    case 'wheel':
      return wheelText(does.ticks, does.axis);
    case 'nothing':
      return 'nothing';
  }
}
