import { ASKED_MS, questionsOf } from '../engine/index.ts';
import { isBlock, type Macro, type MacroStep, type Setup } from '../setup/index.ts';

/** A time that may not be known exactly: milliseconds. Exact where all three are the same. */
export interface Span {
  /** Where every window it waits for is there at once, and every question answered. */
  readonly least: number;
  /** Where each comes at the last moment, and too late does not stop it. */
  readonly most: number;
  /** Where each takes as long as it did before; as `least` where that is not known. */
  readonly about: number;
}

/** How long a macro takes, and when each step of its own comes. */
export interface MacroEstimate {
  /** By the step's id: when it comes the first time, from the start. What is left out has no entry. */
  readonly steps: ReadonlyMap<string, Span>;
  /** How long one round takes. */
  readonly round: Span;
  /** How long all of it takes; null for one that goes on until it is told to stop. */
  readonly total: Span | null;
}

/** How long one wait may take: for a window, or for an answer to what text asks. */
type Waits = (step: Extract<MacroStep, { kind: 'until' | 'text' }>) => number;

/**
 * When each step of a macro comes, by the same rules as it runs (waits add up, what is sent keeps the pace).
 *
 * @param measured how long waits for windows took when it was tried: milliseconds by the step's id
 */
export function estimate(
  setup: Setup,
  macro: Macro,
  measured: ReadonlyMap<string, number> = new Map(),
): MacroEstimate {
  const least = walk(setup, macro, () => 0);
  const most = walk(setup, macro, atMost);
  const about = walk(setup, macro, (step) => Math.min(measured.get(step.id) ?? 0, atMost(step)));
  const span = (of: (walked: Walked) => number): Span => ({
    least: of(least),
    most: of(most),
    about: of(about),
  });
  const steps = [...least.first.keys()].map((id) => [id, span(({ first }) => first.get(id) ?? 0)] as const);
  const endless = macro.run !== 'times';
  return {
    steps: new Map(steps),
    round: span(({ round }) => round),
    total: endless ? null : span(({ total }) => total),
  };
}

/** How long a step waits at most. */
const atMost: Waits = (step) => (step.kind === 'until' ? step.atMostMs : ASKED_MS);

/** One way it may go. */
interface Walked {
  readonly first: ReadonlyMap<string, number>;
  readonly round: number;
  readonly total: number;
}

/** Goes through a macro once, as a clock would see it. */
function walk(setup: Setup, macro: Macro, waits: Waits): Walked {
  const first = new Map<string, number>();
  const macros = new Map(setup.macros.map((each) => [each.id, each]));
  let at = 0;
  let sent = Number.NEGATIVE_INFINITY;
  /** Keys and buttons that steps put down and nothing has let go of. */
  const down = new Set<string>();
  const send = () => {
    at = Math.max(at, sent + macro.pace);
    sent = at;
  };
  /** `own`: whether the steps are the macro's own, and not those of another one that it runs. */
  const go = (steps: readonly MacroStep[], own: boolean): void => {
    for (const step of steps) {
      if (step.skipped) continue;
      const note = () => {
        if (own && !first.has(step.id)) first.set(step.id, at);
      };
      switch (step.kind) {
        case 'wait':
          note();
          at += step.ms;
          break;
        case 'until':
          note();
          at += waits(step);
          break;
        case 'repeat':
          note();
          for (let i = 0; i < step.times; i++) go(step.steps, own);
          break;
        case 'macro':
          note();
          go(macros.get(step.macro)?.steps ?? [], false);
          break;
        case 'layer':
          note();
          break;
        case 'text':
          if (questionsOf(step.text).length > 0) {
            note();
            at += waits(step);
          }
          send();
          note();
          break;
        case 'hold':
        case 'shortcut':
        case 'key-down':
        case 'key-up':
        case 'button':
        case 'click':
        case 'wheel':
        case 'pointer':
        case 'menu':
        case 'focus':
          send();
          note();
          keep(down, step);
      }
      if (step.kind === 'hold') {
        go(step.steps, own);
        send();
      }
    }
  };
  go(macro.steps, true);
  const end = () => (down.size > 0 ? Math.max(at, sent + macro.pace) : at);
  const round = macro.run === 'times' && macro.times === 1 ? end() : at;
  if (macro.run === 'times') for (let i = 1; i < macro.times; i++) go(macro.steps, false);
  return { first, round, total: end() };
}

/** Notes what a step puts down, or lets go of. */
function keep(down: Set<string>, step: MacroStep): void {
  if (step.kind === 'key-down') down.add(step.code);
  if (step.kind === 'key-up') down.delete(step.code);
  if (step.kind !== 'button') return;
  if (step.change === 'down') down.add(`button ${step.button}`);
  else down.delete(`button ${step.button}`);
}

/** Whether a time is known exactly. */
export function isExact({ least, most }: Span): boolean {
  return least === most;
}

/** How many steps a macro has, those inside others counted and what is left out not. */
export function stepCount(steps: readonly MacroStep[]): number {
  return steps.reduce(
    (sum, step) => (step.skipped ? sum : sum + 1 + (isBlock(step) ? stepCount(step.steps) : 0)),
    0,
  );
}
