import type { KeysBy } from '@nimble-lever/core/keys/layouts';
import type { Message } from '@nimble-lever/core/setup';

/** A command a practice program runs when its shortcut arrives. */
export interface StandInCommand<State> {
  /** In our notation, canonical. */
  readonly shortcut: string;
  readonly name: string;
  readonly run: (state: State) => State;
  /** For a command that lasts as long as its key is down: what its coming up does. */
  readonly release?: (state: State) => State;
  /** What one sees of it afterwards, in a few words. */
  readonly said: (state: State) => string;
  /** Where it stands in the program's menus, from the menu down, itself left out; `Commands` where nothing is said. */
  readonly menu?: readonly string[];
  /** The window it opens, by id. */
  readonly opens?: string;
  /** Its own window is closed by it. */
  readonly closes?: boolean;
  /** What a dialog hands over to the program it belongs to; given that program's own state. */
  readonly hands?: Handed<State>;
}

/** Something that is done in the program a dialog belongs to. */
export interface Handed<State> {
  /** That program, by the id of its window. */
  readonly to: string;
  readonly change: (own: State, other: never) => unknown;
}

/** A program of the practice desk: where it starts, its commands, and what else it hears. */
export interface StandIn<State> {
  /** As it starts. */
  readonly initial: State;
  /** What it goes by when it reads a key. */
  readonly keysBy: KeysBy;
  readonly commands: readonly StandInCommand<State>[];
  /** What it scrolls: whole ticks only, or parts of one as well. Positive is away from the person. */
  readonly wheel?: {
    readonly by: 'ticks' | 'parts';
    readonly turn: (state: State, ticks: number) => State;
  };
  readonly text?: (state: State, text: string) => State;
  /** A control message with its value, from 0 to 1; null for one it does not know. */
  readonly message?: (state: State, message: Message, value: number) => Heard<State> | null;
}
/** What a program made of a control message. */
export interface Heard<State> {
  readonly state: State;
  readonly name: string;
  /** What its status line says then. */
  readonly said: string;
}

/** A row of a program's commands; `said` where it says something else than the rest. */
export type CommandRow<State> = readonly [
  shortcut: string,
  name: string,
  run: (state: State) => State,
  said?: (state: State) => string,
];

/** Commands from rows, with what most of them say. */
export function commandsFrom<State>(
  rows: readonly CommandRow<State>[],
  usual: (state: State) => string,
): readonly StandInCommand<State>[] {
  return rows.map(([shortcut, name, run, said = usual]) => ({ shortcut, name, run, said }));
}

/** The menu of commands that have no other. */
const USUAL_MENU: readonly string[] = ['Commands'];

/** Where a command stands in the program's menus, by its words from the menu down. */
export function menuPath({
  menu = USUAL_MENU,
  name,
}: {
  readonly menu?: readonly string[];
  readonly name: string;
}): readonly string[] {
  return [...menu, name];
}

/** What every practice program keeps. */
export interface Running {
  /** Named in its status line; null before the first. */
  readonly lastCommand: string | null;
}

/** Something that can be taken back: the states before, newest last, and those taken back. */
export interface Undoable<Kept> {
  /** What undo goes back to, the nearest at the end. */
  readonly past: readonly Kept[];
  /** What redo goes on to, the next at the end. */
  readonly future: readonly Kept[];
}

/** How far back a practice program's undo goes. */
const STEPS_KEPT = 50;

/** Keeps a state so that it can be gone back to. */
export function remember<Kept>({ past }: Undoable<Kept>, kept: Kept): Undoable<Kept> {
  return { past: [...past, kept].slice(-STEPS_KEPT), future: [] };
}

/** Goes one step back or on; null where there is none. */
export function goBack<Kept>(
  { past, future }: Undoable<Kept>,
  now: Kept,
): (Undoable<Kept> & { kept: Kept }) | null {
  const kept = past.at(-1);
  return kept === undefined ? null : { kept, past: past.slice(0, -1), future: [...future, now] };
}
/** Changes what can be undone, and keeps what it was. */
export function goOn<Kept>(
  { past, future }: Undoable<Kept>,
  now: Kept,
): (Undoable<Kept> & { kept: Kept }) | null {
  const kept = future.at(-1);
  return kept === undefined ? null : { kept, past: [...past, now], future: future.slice(0, -1) };
}

/** Undo and redo of a state of which `kept` is what is gone back to. */
export function undoRows<State extends Undoable<Kept>, Kept>(
  redo: string,
  keep: (state: State) => Kept,
  put: (state: State, kept: Kept) => State,
): readonly CommandRow<State>[] {
  const turn = (way: typeof goBack<Kept>) => (state: State) => {
    const found = way(state, keep(state));
    return found ? { ...put(state, found.kept), past: found.past, future: found.future } : state;
  };
  return [
    ['Ctrl+Z', 'Undo', turn(goBack)],
    [redo, 'Redo', turn(goOn)],
  ];
}

/** A number kept between two ends. */
export function within(value: number, least: number, most: number): number {
  return Math.max(least, Math.min(most, value));
}
