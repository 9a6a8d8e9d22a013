import {
  asksNow,
  type Explanation,
  type Hold,
  type Keyboards,
  nextDeadline,
  type Stroke,
  sends,
} from '@nimble-lever/core/engine';
import { TRIAL, trialSetup } from '@nimble-lever/core/macros';
import type { FrontWindow } from '@nimble-lever/core/resolve';
import type { Setup } from '@nimble-lever/core/setup';
import type { Carrier } from './carrier.ts';
import type { Clock } from './clock.ts';
import { Session } from './session.ts';
import { VirtualClock } from './virtualClock.ts';

/** As it runs, half as fast, or one step each time it is asked to go on. */
export type TrialSpeed = 'full' | 'half' | 'steps';

/** How a wait for a window ended. */
export interface Waited {
  readonly how: 'there' | 'came' | 'late';
  /** Milliseconds. */
  readonly ms: number;
}

/** How far a trial is. */
export interface TrialState {
  /** `waiting`: for a window; `asking`: for an answer. `late`: what it waited for did not come, and the macro stopped. */
  readonly status: 'running' | 'waiting' | 'asking' | 'ended' | 'late' | 'stopped';
  /** What it asks now. */
  readonly questions: readonly string[];
  /** The step that comes next, and the one that was done last; null for none. */
  readonly next: string | null;
  readonly last: string | null;
  /** What it holds now. */
  readonly held: readonly Hold[];
  /** What it sent so far. */
  readonly sent: readonly Stroke[];
  /** By step: how long windows took. */
  readonly waits: ReadonlyMap<string, Waited>;
  /** By step: the window that came up after it. */
  readonly opened: ReadonlyMap<string, FrontWindow>;
}

/** What is tried, and how. */
export interface TrialParts {
  readonly setup: Setup;
  readonly keyboards: Keyboards;
  readonly macro: string;
  /** The step to begin with; null for the first. */
  readonly from: string | null;
  readonly speed: TrialSpeed;
  readonly clock: Clock;
  readonly carrier: Carrier;
  /** Told whenever something of it changed. */
  readonly changed: (state: TrialState) => void;
  readonly failed: (error: unknown) => void;
}

/** Before its first step. */
const BEGUN: TrialState = {
  status: 'running',
  next: null,
  last: null,
  questions: [],
  held: [],
  sent: [],
  waits: new Map(),
  opened: new Map(),
};

/** A macro tried for real at a desk, by an engine of its own: whole, slowly, or step by step. */
export class MacroTrial {
  readonly #parts: TrialParts;
  readonly #session: Session;
  /** Stands still between steps; null where the macro runs by itself. */
  readonly #still: VirtualClock | null;
  #state = BEGUN;
  /** The step that a window is still to come for. */
  #opener: string | null = null;

  constructor(parts: TrialParts) {
    const { setup, keyboards, macro, from, speed, clock, carrier, failed } = parts;
    this.#parts = parts;
    this.#still = speed === 'steps' ? new VirtualClock() : null;
    this.#session = new Session({
      clock: this.#still ?? (speed === 'half' ? halfOf(clock) : clock),
      carrier: {
        carryOut: (stroke) => {
          this.#state = { ...this.#state, sent: [...this.#state.sent, stroke] };
          parts.changed(this.#state);
          carrier.carryOut(stroke);
        },
        front: () => carrier.front(),
      },
      told: (explanation) => this.#told(explanation),
      failed,
    });
    this.#session.use(trialSetup(setup, { macro, from, apart: speed === 'steps' }), keyboards);
  }

  get state(): TrialState {
    return this.#state;
  }

  /** Presses the control that runs it. One that runs while it is held stays down until it is stopped. */
  start(): void {
    this.#session.take({ kind: 'down', ...TRIAL });
    const held = this.#session.compiled?.macros.get(this.#parts.macro)?.run === 'held';
    if (!held) this.#session.take({ kind: 'up', ...TRIAL });
    this.#look();
  }

  /** Step by step: does the next one. While a window is waited for there is none. */
  goOn(): void {
    const still = this.#still;
    const due = nextDeadline(this.#session.state);
    if (!still || due === null || this.#state.status !== 'running') return;
    still.advanceTo(due);
    this.#look();
  }

  /** What it asks is answered, a text for each question; null where nobody wants to. */
  answer(texts: readonly string[] | null): void {
    this.#session.take({ kind: 'answer', macro: this.#parts.macro, texts: texts && [...texts] });
    this.#look();
  }

  /** A program begins to open a window: what was done last is what it opens it for, whatever is done until it is there. */
  opening(): void {
    this.#opener ??= this.#state.last;
  }

  /** Another window is in front of the desk. */
  front(window: FrontWindow | null): void {
    const last = this.#opener ?? this.#state.last;
    this.#opener = null;
    if (window && last !== null && this.#isOn()) {
      this.#state = { ...this.#state, opened: new Map(this.#state.opened).set(last, window) };
    }
    this.#session.take({ kind: 'front', window });
    this.#look();
  }

  /** Ends it at once: whatever it holds comes up. */
  stop(): void {
    const was = this.#isOn();
    this.#session.stop();
    if (was) this.#state = { ...this.#state, status: 'stopped', held: [], next: null, questions: [] };
    this.#parts.changed(this.#state);
  }

  #isOn(): boolean {
    return isTrying(this.#state);
  }

  #told({ changes, outcome, event }: Explanation): void {
    const before = this.#state;
    const waits = new Map(before.waits);
    let { status } = before;
    for (const change of changes) {
      if (change.kind === 'until' && change.macro === this.#parts.macro) {
        waits.set(change.step, { how: change.how, ms: change.waited });
      }
      if (change.kind !== 'macro' || change.macro !== this.#parts.macro || change.runs) continue;
      const late = changes.some(
        (each) => (each.kind === 'until' || each.kind === 'ask') && each.how === 'late',
      );
      if (this.#isOn()) status = late ? 'late' : 'ended';
    }
    const last =
      (outcome.kind === 'macro' ? outcome.step : event.kind === 'down' ? this.#done() : null) ?? before.last;
    this.#state = { ...before, waits, status, last };
    this.#look();
  }

  /** The step that sent something last by now. */
  #done(): string | null {
    const running = this.#session.state.running[this.#parts.macro];
    const done = running?.as.acts.slice(0, running.next).findLast(({ act }) => sends(act));
    return done?.step ?? null;
  }

  /** Where it is now. */
  #look(): void {
    const running = this.#session.state.running[this.#parts.macro];
    const before = this.#state;
    if (!running || !this.#isOn()) {
      this.#state = { ...before, held: [], next: null, questions: [] };
    } else {
      const next = running.as.acts[running.next];
      const asks = asksNow(this.#session.state);
      this.#state = {
        ...before,
        status: asks ? 'asking' : running.waitsSince === null ? 'running' : 'waiting',
        questions: asks?.questions ?? [],
        next: next?.step ?? null,
        held: running.holds.map(({ hold }) => hold),
      };
    }
    this.#parts.changed(this.#state);
  }
}

/** Whether a trial goes on. */
export function isTrying({ status }: TrialState): boolean {
  switch (status) {
    case 'running':
    case 'waiting':
    case 'asking':
      return true;
    case 'ended':
    case 'late':
    case 'stopped':
      return false;
  }
}

/** A clock that goes half as fast. */
function halfOf(clock: Clock): Clock {
  return { now: () => clock.now() / 2, wakeAt: (at, call) => clock.wakeAt(at * 2, call) };
}
