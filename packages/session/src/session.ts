import type { DistributiveOmit } from '@nimble-lever/core/distributiveOmit';
import {
  advance,
  type Compiled,
  compile,
  type EngineEvent,
  type EngineState,
  type Explanation,
  INITIAL_STATE,
  isAtRest,
  type Keyboards,
  nextDeadline,
  step,
  US_KEYBOARDS,
} from '@nimble-lever/core/engine';
import type { Setup } from '@nimble-lever/core/setup';
import type { Carrier } from './carrier.ts';
import type { Clock } from './clock.ts';

/** An event that gets its time from the session's clock. */
export type UntimedEvent = DistributiveOmit<EngineEvent, 't'>;

/** What a session is made of. */
export interface SessionParts {
  /** Handed in, so that tests decide what time it is. */
  readonly clock: Clock;
  /** Where strokes go, and where the front is asked for. */
  readonly carrier: Carrier;
  /**
   * Told of everything that happened, before its strokes are carried out, so that what comes of them can be told under
   * it.
   */
  readonly told: (explanation: Explanation) => void;
  /** A stroke could not be carried out; the others are. */
  readonly failed: (error: unknown) => void;
}

/** A gap this long in the clock, while something is held or to fall due, means that the computer slept: ms. */
export const SLEPT_MS = 5000;
/** While something is held the session looks at the clock at least so often: ms. */
const HEARTBEAT_MS = 1000;

/** What waits its turn: an event, or the set-up as it is after an edit. */
type Waiting =
  | { readonly kind: 'event'; readonly event: EngineEvent }
  | { readonly kind: 'setup'; readonly setup: Setup; readonly keyboards: Keyboards };

/**
 * The engine at work at a desk: one queue of events, a clock to keep deadlines by, a carrier for what is sent. An
 * event that comes while another is dealt with (a stroke that brings a window to the front) waits its turn, as in an
 * actor's mailbox.
 */
export class Session {
  readonly #parts: SessionParts;
  #compiled: Compiled | null = null;
  #state: EngineState = INITIAL_STATE;
  #queue: Waiting[] = [];
  #isBusy = false;
  /** When the session is to be woken, and how to take that back; null while it is at rest. */
  #alarm: { readonly at: number; readonly cancel: () => void } | null = null;

  constructor(parts: SessionParts) {
    this.#parts = parts;
  }

  get state(): EngineState {
    return this.#state;
  }

  /** The compiled set-up; null before the first one. */
  get compiled(): Compiled | null {
    return this.#compiled;
  }

  /**
   * Works by this set-up from now on, for these keyboards. With the first one it asks the carrier what is in front; a
   * later one is compiled from the one before, and what an edit makes impossible is let go. Keys that are down stay down,
   * whatever the keyboard is now.
   */
  use(setup: Setup, keyboards: Keyboards = US_KEYBOARDS): void {
    this.#queue.push({ kind: 'setup', setup, keyboards });
    this.#work();
  }

  /**
   * Takes an event, now or as soon as those before it are dealt with. Before there is a set-up it is dropped.
   *
   * @param t when it happened, where that was earlier than now
   */
  take(event: UntimedEvent, t = this.#parts.clock.now()): void {
    this.#queue.push({ kind: 'event', event: { ...event, t } as EngineEvent });
    this.#work();
  }

  /** Lets go of everything, and takes nothing more by itself. */
  stop(): void {
    this.take({ kind: 'reset' });
    this.#setAlarm(null);
  }

  #work(): void {
    if (this.#isBusy) return;
    this.#isBusy = true;
    try {
      for (let next = this.#queue.shift(); next; next = this.#queue.shift()) this.#dealWith(next);
    } finally {
      this.#isBusy = false;
    }
    this.#keepAwake();
  }

  #dealWith(next: Waiting): void {
    if (next.kind === 'setup') {
      this.#changeSetup(next.setup, next.keyboards);
      return;
    }
    if (!this.#compiled) return;
    this.#noticeSleep(this.#compiled);
    this.#step(this.#compiled, next.event);
  }

  #changeSetup(setup: Setup, keyboards: Keyboards): void {
    const before = this.#compiled;
    if (before) this.#noticeSleep(before);
    const t = this.#parts.clock.now();
    // What was due before the edit is still done as it was before.
    if (before) this.#advance(before, t);
    this.#compiled = compile(setup, before, keyboards);
    if (before) {
      this.#step(this.#compiled, { kind: 'edited', t });
      return;
    }
    const window = this.#parts.carrier.front();
    if (window) this.#step(this.#compiled, { kind: 'front', t, window });
  }

  #step(compiled: Compiled, event: EngineEvent): void {
    const { state, due, explanation } = step(compiled, this.#state, event);
    this.#goOn(state, [...due, explanation]);
  }

  /** Time goes on to `t`: what is due by then falls due. */
  #advance(compiled: Compiled, t: number): void {
    const { state, due } = advance(compiled, this.#state, t);
    this.#goOn(state, due);
  }

  /** Takes the state after a step, tells what happened and carries out what is sent. */
  #goOn(state: EngineState, explanations: readonly Explanation[]): void {
    this.#state = state;
    for (const explanation of explanations) {
      this.#parts.told(explanation);
      for (const stroke of explanation.strokes) {
        try {
          this.#parts.carrier.carryOut(stroke);
        } catch (error) {
          this.#parts.failed(error);
        }
      }
    }
  }

  /**
   * The computer slept while something was held: controls may have come up unheard, and what repeats would send all
   * that it missed. So everything is let go, as of the last time known.
   */
  #noticeSleep(compiled: Compiled): void {
    const late = this.#alarm === null ? 0 : this.#parts.clock.now() - this.#alarm.at;
    if (late <= SLEPT_MS) return;
    this.#setAlarm(null);
    const { now: t } = this.#state;
    this.#step(compiled, { kind: 'reset', t, slept: this.#parts.clock.now() - t });
  }

  /** Sets when to be woken next, if there is anything to keep awake for. */
  #keepAwake(): void {
    if (isAtRest(this.#state)) {
      this.#setAlarm(null);
      return;
    }
    const beat = this.#parts.clock.now() + HEARTBEAT_MS;
    const at = Math.min(nextDeadline(this.#state) ?? beat, beat);
    if (this.#alarm?.at !== at) this.#setAlarm(at);
  }

  #setAlarm(at: number | null): void {
    this.#alarm?.cancel();
    this.#alarm = at === null ? null : { at, cancel: this.#parts.clock.wakeAt(at, () => this.#wake()) };
  }

  #wake(): void {
    const compiled = this.#compiled;
    if (!compiled || this.#isBusy) {
      // Set anew as soon as what goes on now is over.
      this.#setAlarm(null);
      return;
    }
    this.#isBusy = true;
    try {
      this.#noticeSleep(compiled);
      this.#setAlarm(null);
      this.#advance(compiled, this.#parts.clock.now());
    } finally {
      this.#isBusy = false;
    }
    this.#work();
  }
}
