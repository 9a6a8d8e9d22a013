import { formatSteps, parseSteps, type Shortcut } from '../../keys/index.ts';
import { byPlace, type Layout, resolveShortcut } from '../../keys/layouts/index.ts';
import type { SingleEdit } from '../edits/edit.ts';
import type { Command, Program, Setup } from '../setup.ts';
import { commandAt, everyShortcut, type ShortcutPlace } from './everyShortcut.ts';

/** A shortcut that a keyboard cannot type, or only with AltGr among other modifiers, which many programs miss. */
export interface Untypeable {
  readonly place: ShortcutPlace;
  readonly why: 'no-key' | 'altgr';
  /** The same by the place that the United States keyboard has it at, in our notation; null where there is none. */
  readonly samePlace: string | null;
  /** Takes another shortcut for it: a command's for this layout only. */
  readonly use: (shortcut: string) => SingleEdit;
}

/** What of a set-up a keyboard cannot type, and how many shortcuts there are in all. */
export interface TypingReport {
  readonly all: number;
  readonly untypeable: readonly Untypeable[];
}

/** Finds the shortcuts that cannot be typed on a layout. Those that have another one there already count as typed. */
export function typingReport(setup: Setup, layout: Layout): TypingReport {
  const places = everyShortcut(setup);
  const untypeable: Untypeable[] = [];
  for (const place of places) {
    const { command, keysBy } = place;
    const shortcut = command?.command.onLayout[layout.id] ?? place.shortcut;
    const trouble = keysBy === 'character' ? troubleWith(shortcut, layout) : null;
    if (!trouble) continue;
    const use = command
      ? (other: string) => useOnLayout(command.program, command.command, layout.id, other)
      : place.replace;
    untypeable.push({ place, ...trouble, use });
  }
  return { all: places.length, untypeable };
}

/** Whether a command's keys cannot be typed well on a layout, by what its program goes by. */
export function isUntypeable(command: Command, programBy: Program['keysBy'], layout: Layout): boolean {
  if ((command.keysBy ?? programBy) === 'place') return false;
  return troubleWith(command.onLayout[layout.id] ?? command.shortcut, layout) !== null;
}

/** The edit that gives a command another shortcut on a layout. */
export function useOnLayout(
  program: Program | null,
  command: Command,
  layout: string,
  shortcut: string,
): SingleEdit {
  const onLayout = { ...command.onLayout, [layout]: shortcut };
  return { kind: 'set', at: commandAt(program, command), fields: { onLayout } };
}

/** Why a shortcut cannot be typed, and what its places are. */
type Trouble = Pick<Untypeable, 'why' | 'samePlace'>;

/** Found once for each layout and shortcut; null for one that can be typed. */
const troubles = new WeakMap<Layout, Map<string, Trouble | null>>();

function troubleWith(shortcut: string, layout: Layout): Trouble | null {
  const known = troubles.get(layout) ?? new Map<string, Trouble | null>();
  troubles.set(layout, known);
  const before = known.get(shortcut);
  if (before !== undefined) return before;
  const steps = parseSteps(shortcut);
  const why = steps.ok ? troubleOf(steps.value, layout) : null;
  const found = steps.ok && why ? { why, samePlace: placesOf(steps.value, layout) } : null;
  known.set(shortcut, found);
  return found;
}

function troubleOf(steps: readonly Shortcut[], layout: Layout): Untypeable['why'] | null {
  const ways = steps.map((step) => {
    const resolved = resolveShortcut(step, layout, 'character');
    if (!resolved.ok) return 'no-key';
    return resolved.value.way === 'altgr' && (step.ctrl || step.alt || step.meta) ? 'altgr' : null;
  });
  return ways.find((way) => way === 'no-key') ?? ways.find((way) => way !== null) ?? null;
}

/** Each step by its place where it has one, as long as the whole differs. */
function placesOf(steps: readonly Shortcut[], layout: Layout): string | null {
  const places = steps.map((step) => (troubleOf([step], layout) === null ? step : byPlace(step, layout)));
  const found = places.filter((step) => step !== null);
  return found.length < steps.length ? null : formatSteps(found);
}

/** Letters that no command of a program and no common one has with Ctrl and Shift, for commands that need another key. */
export function freeShortcut(setup: Setup, program: Program | null, taken: readonly string[]): string | null {
  const used = new Set([
    ...taken,
    ...[...setup.commonCommands, ...(program?.commands ?? [])].flatMap(({ shortcut, onLayout }) => [
      shortcut,
      ...Object.values(onLayout),
    ]),
  ]);
  const letters = Array.from('ABCDEFGHIJKLMNOPQRSTUVWXYZ', (letter) => `Ctrl+Shift+${letter}`);
  return letters.find((shortcut) => !used.has(shortcut)) ?? null;
}
