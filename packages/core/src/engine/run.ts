import type { Compiled } from './compile.ts';
import type { StateChange } from './explanation.ts';
import type { EngineState } from './state.ts';
import type { Stroke } from './stroke.ts';

/** Something that is done once the event itself has been dealt with. */
export type Wish =
  | { readonly kind: 'pin'; readonly profile: string | null }
  | { readonly kind: 'let-go'; readonly device: string };

/** One step under way: the state so far and what was sent. Lives only inside `step`. */
export interface Run {
  readonly compiled: Compiled;
  readonly strokes: Stroke[];
  readonly changes: StateChange[];
  readonly wishes: Wish[];
  /** A copy of the run's own: its fields are set anew, what they hold is never changed in place. */
  readonly state: { -readonly [Field in keyof EngineState]: EngineState[Field] };
  /** The event that strokes are sent for now; for what falls due, the one it comes from. */
  cause: number;
}

type StrokeBody = Stroke extends infer Any
  ? Any extends Stroke
    ? Omit<Any, 't' | 'cause' | 'program'>
    : never
  : never;

/** Sends a stroke to the program in front (null) or to another. */
export function send(run: Run, program: string | null, body: StrokeBody): void {
  const { now: t } = run.state;
  const stroke = { t, cause: run.cause, ...body };
  run.strokes.push((program === null ? stroke : { ...stroke, program }) as Stroke);
}

/**
 * A record with one key more, or another value for it. Copied by a loop: with a key known only now that is a few
 * times faster than spreading.
 */
export function withEntry<Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
  value: Value,
): Readonly<Record<string, Value>> {
  const copy: Record<string, Value> = {};
  for (const other in record) copy[other] = record[other] as Value;
  copy[key] = value;
  return copy;
}

/** A record without one of its keys. */
export function without<Value>(
  record: Readonly<Record<string, Value>>,
  key: string,
): Readonly<Record<string, Value>> {
  if (!(key in record)) return record;
  const others: Record<string, Value> = {};
  for (const other in record) if (other !== key) others[other] = record[other] as Value;
  return others;
}

/** A copy of a state. Field by field, as that is many times faster than spreading so many. */
export function copyOf(state: EngineState): Run['state'] {
  return {
    now: state.now,
    seq: state.seq,
    front: state.front,
    pinned: state.pinned,
    profile: state.profile,
    layers: state.layers,
    layerHolds: state.layerHolds,
    once: state.once,
    pages: state.pages,
    speeds: state.speeds,
    computers: state.computers,
    down: state.down,
    held: state.held,
    latched: state.latched,
    waiting: state.waiting,
    asking: state.asking,
    timers: state.timers,
    turned: state.turned,
    sprung: state.sprung,
    slid: state.slid,
    running: state.running,
    radial: state.radial,
  };
}
