import type { DistributiveOmit } from '../distributiveOmit.ts';
import type { Compiled } from './compile.ts';
import type { StateChange } from './explanation.ts';
import type { Destination, EngineState } from './state.ts';
import type { Stroke } from './stroke.ts';

/** Something that is done once the event itself has been dealt with. */
export type Deferred =
  | { readonly kind: 'pin'; readonly profile: string | null }
  | { readonly kind: 'let-go'; readonly device: string };

/** One step under way: the state so far and what was sent. Lives only inside `step`. */
export interface StepContext {
  readonly compiled: Compiled;
  /** Added to as the step goes on, in the order in which they are sent. */
  readonly strokes: Stroke[];
  readonly changes: StateChange[];
  /** What waits until the step is done. */
  readonly deferred: Deferred[];
  /** A copy of the run's own: its fields are set anew, what they hold is never changed in place. */
  readonly state: { -readonly [Field in keyof EngineState]: EngineState[Field] };
  /** The event that strokes are sent for; for what falls due, the one it comes from. */
  readonly cause: number;
  /** The program that was brought to the front in this step, not to be asked for again. */
  focused: string | null;
}

/** The number of an output that begins now. */
export function nextSerial({ state }: StepContext): number {
  state.serial += 1;
  return state.serial;
}

/** What of a stroke differs; where and when it goes is added where it is sent. */
type StrokeBody = DistributiveOmit<Stroke, 't' | 'cause' | 'device' | 'program' | 'computer'>;

/** Sends a stroke to where it goes. */
export function send(
  context: StepContext,
  { device, program, computer }: Destination,
  body: StrokeBody,
): void {
  const stroke = { t: context.state.now, cause: context.cause, device, ...body } as Stroke;
  if (program !== null) stroke.program = program;
  if (computer !== null) stroke.computer = computer;
  context.strokes.push(stroke);
}

/** A copy of a state. Field by field, as that is many times faster than spreading so many. */
export function copyOf(state: EngineState): StepContext['state'] {
  return {
    now: state.now,
    seq: state.seq,
    serial: state.serial,
    front: state.front,
    frontProgram: state.frontProgram,
    pinned: state.pinned,
    profile: state.profile,
    elsewhere: state.elsewhere,
    layers: state.layers,
    layerHolds: state.layerHolds,
    once: state.once,
    folders: state.folders,
    sets: state.sets,
    speeds: state.speeds,
    speedHolds: state.speedHolds,
    wheelModes: state.wheelModes,
    wheelModeHolds: state.wheelModeHolds,
    computers: state.computers,
    down: state.down,
    held: state.held,
    latched: state.latched,
    waiting: state.waiting,
    confirmations: state.confirmations,
    deadlines: state.deadlines,
    turned: state.turned,
    springs: state.springs,
    sliderValues: state.sliderValues,
    running: state.running,
    radial: state.radial,
  };
}
