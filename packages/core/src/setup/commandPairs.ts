import type { Command } from './setup.ts';

/** Two commands that undo each other’s step, as the two turns of a dial do. */
export interface CommandPair {
  /** For the turn clockwise, away, or up. */
  readonly plus: Command;
  readonly minus: Command;
}

/**
 * Words of the trade for the two ways of a step, the one for a turn clockwise first. Common practice, no source: larger,
 * on, in, up and right go clockwise, as knobs do.
 */
const OPPOSITES: readonly (readonly [plus: string, minus: string])[] = [
  ['larger', 'smaller'],
  ['bigger', 'smaller'],
  ['longer', 'shorter'],
  ['wider', 'narrower'],
  ['higher', 'lower'],
  ['harder', 'softer'],
  ['louder', 'softer'],
  ['louder', 'quieter'],
  ['stronger', 'weaker'],
  ['brighter', 'darker'],
  ['warmer', 'cooler'],
  ['faster', 'slower'],
  ['more', 'less'],
  ['increase', 'decrease'],
  ['raise', 'lower'],
  ['next', 'previous'],
  ['on', 'back'],
  ['forward', 'back'],
  ['forwards', 'backwards'],
  ['later', 'earlier'],
  ['in', 'out'],
  ['up', 'down'],
  ['right', 'left'],
  ['clockwise', 'anticlockwise'],
  ['redo', 'undo'],
  ['end', 'start'],
  ['last', 'first'],
];

/**
 * The pairs among a program's commands, found by their names: two that differ in one word, and in that are opposites
 * (“Brush larger”, “Brush smaller”). In the order of the list; a command is in one pair only, the first that fits.
 */
export function commandPairs(commands: readonly Command[]): readonly CommandPair[] {
  const byName = new Map(commands.map((command) => [command.name.toLowerCase(), command]));
  const paired = new Set<string>();
  return commands.flatMap((command): CommandPair[] => {
    if (paired.has(command.id)) return [];
    const pair = pairOf(command, byName);
    if (!pair || paired.has(pair.plus.id) || paired.has(pair.minus.id)) return [];
    paired.add(pair.plus.id).add(pair.minus.id);
    return [pair];
  });
}

/** The pair a command belongs to, whichever of the two it is. */
function pairOf(command: Command, byName: ReadonlyMap<string, Command>): CommandPair | null {
  const words = command.name.toLowerCase().split(' ');
  for (const [i, word] of words.entries()) {
    for (const [plus, minus] of OPPOSITES) {
      if (word !== plus && word !== minus) continue;
      const other = byName.get(words.with(i, word === plus ? minus : plus).join(' '));
      if (!other || other.id === command.id) continue;
      return word === plus ? { plus: command, minus: other } : { plus: other, minus: command };
    }
  }
  return null;
}
