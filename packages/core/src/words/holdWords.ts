import type { Hold } from '../engine/index.ts';
import { legendOf } from '../keys/index.ts';
import type { Setup } from '../setup/index.ts';
import { buttonName } from './actions.ts';
import { layerName, macroName, programName } from './names.ts';

/** What is held, as people read it: keys joined by +, then the rest. */
export function holdWords(setup: Setup, holds: readonly Hold[]): string {
  const keys = holds.flatMap((hold) => (hold.kind === 'key' ? [hold] : []));
  const chord = [...new Set(keys.map(({ code }) => legendOf(code)))].join('+');
  const others = holds.flatMap((hold) => otherWords(setup, hold));
  const target = holds.flatMap((hold) => ('to' in hold && hold.to.program ? [hold.to.program] : []))[0];
  const what = [...(chord ? [chord] : []), ...others].join(', ');
  return target === undefined ? what : `${what} for ${programName(setup, target)}`;
}

/** What is held besides keys, which are told together as a shortcut. */
function otherWords(setup: Setup, hold: Hold): string[] {
  switch (hold.kind) {
    case 'key':
      return [];
    case 'button':
      return [buttonName(hold.button).toLowerCase()];
    case 'layer':
      return [`layer ${layerName(setup, hold.layer)}`];
    case 'macro':
      return [`macro ${macroName(setup, hold.macro)}`];
    case 'show':
      return ['what controls do'];
    case 'speed':
      return ['pointer speed'];
    case 'wheel-mode':
      return ['wheel'];
    case 'message':
      return ['control message'];
  }
}
