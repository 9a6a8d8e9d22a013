/** A command a practice program runs when its shortcut arrives. */
export interface StandInCommand<State> {
  /** In our notation, canonical. */
  readonly shortcut: string;
  readonly name: string;
  readonly run: (state: State) => State;
  /** What one sees of it afterwards, in a few words. */
  readonly said: (state: State) => string;
}

/** Something that can be taken back: the states before, newest last, and those taken back. */
export interface Undoable<Kept> {
  readonly past: readonly Kept[];
  readonly future: readonly Kept[];
}

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
export function goOn<Kept>(
  { past, future }: Undoable<Kept>,
  now: Kept,
): (Undoable<Kept> & { kept: Kept }) | null {
  const kept = future.at(-1);
  return kept === undefined ? null : { kept, past: [...past, now], future: future.slice(0, -1) };
}
