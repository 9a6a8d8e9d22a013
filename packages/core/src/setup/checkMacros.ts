import { missing } from './checkAction.ts';
import type { Fault } from './fault.ts';
import { isBlock, type Macro, type MacroStep, MOST_STEPS } from './macro.ts';
import { hasNamed, namedByStep } from './references.ts';
import type { Refusal } from './refusal.ts';
import { EVERYWHERE, type Setup } from './setup.ts';

/** Everything wrong with the macros of a set-up: what they name is not there, circles, too many steps. */
export function checkMacros(setup: Setup): readonly Refusal[] {
  return faultsOfMacros(setup).map(({ refusal }) => refusal);
}

/** The same, each with where it is. */
export function faultsOfMacros(setup: Setup): readonly Fault[] {
  const counts = new StepCounts(setup);
  return setup.macros.flatMap((macro, i): readonly Fault[] => {
    const at = ['macros', i, 'steps'];
    const { program } = macro;
    if (program !== null && !hasNamed(setup, { kind: 'program', id: program }))
      return [{ at: ['macros', i, 'program'], refusal: { code: 'unknown-program', program } }];
    const inside = faultOfSteps(setup, at, macro.steps);
    if (inside) return [inside];
    const refusal = checkLength(counts, macro);
    return refusal ? [{ at, refusal }] : [];
  });
}

/** What steps name that is not there, or null. */
export function checkSteps(setup: Setup, steps: readonly MacroStep[]): Refusal | null {
  return faultOfSteps(setup, [], steps)?.refusal ?? null;
}

/** The first, from the top: what comes after it may follow from it. */
function faultOfSteps(setup: Setup, above: Fault['at'], steps: readonly MacroStep[]): Fault | null {
  for (const [i, step] of steps.entries()) {
    const at = [...above, i];
    if (isBlock(step)) {
      const inside = faultOfSteps(setup, [...at, 'steps'], step.steps);
      if (inside) return inside;
      continue;
    }
    for (const named of namedByStep(step)) {
      if (!hasNamed(setup, named)) return { at, refusal: missing(named, EVERYWHERE) };
    }
  }
  return null;
}

/** As long as a run of it may get, all repeats counted. */
function checkLength(counts: StepCounts, macro: Macro): Refusal | null {
  const count = counts.of(macro);
  if (count === null) return { code: 'macro-circle', macro: macro.name };
  const times = macro.run === 'times' ? macro.times : 1;
  return count * times > MOST_STEPS ? { code: 'macro-too-long', macro: macro.name, limit: MOST_STEPS } : null;
}

/** How many steps a round of each macro comes to. Each macro is counted once, however many run it. */
class StepCounts {
  readonly #macros: ReadonlyMap<string, Macro>;
  /** Null for a circle; while a macro is being counted it is its own circle. */
  readonly #counts = new Map<string, number | null>();

  constructor({ macros }: Setup) {
    this.#macros = new Map(macros.map((macro) => [macro.id, macro]));
  }

  /** At most a few more than allowed; null where a macro runs itself. */
  of(macro: Macro): number | null {
    const known = this.#counts.get(macro.id);
    if (known !== undefined) return known;
    this.#counts.set(macro.id, null);
    const count = this.#ofSteps(macro.steps);
    this.#counts.set(macro.id, count);
    return count;
  }

  /** Stops counting beyond the limit: numbers must not grow without end. */
  #ofSteps(steps: readonly MacroStep[]): number | null {
    let total = 0;
    let circle = false;
    for (const step of steps) {
      const own = this.#ofStep(step);
      if (own === null) circle = true;
      else total = Math.min(MOST_STEPS + 1, total + own);
    }
    return circle ? null : total;
  }

  /** What is not there counts nothing; that it is missing is told elsewhere. */
  #ofStep(step: MacroStep): number | null {
    // What is left out now may be taken in again at any time: it is counted as if it were.
    if (step.kind === 'hold') {
      const inside = this.#ofSteps(step.steps);
      return inside === null ? null : inside + 1;
    }
    if (step.kind === 'repeat') {
      const inside = this.#ofSteps(step.steps);
      return inside === null ? null : Math.max(1, inside) * step.times;
    }
    if (step.kind !== 'macro') return 1;
    const other = this.#macros.get(step.macro);
    return other ? this.of(other) : 0;
  }
}
