import { type Macro, type MacroStep, MOST_STEPS } from './macro.ts';
import type { Refusal } from './refusal.ts';
import type { Setup } from './setup.ts';

/** Everything wrong with the macros of a set-up: what they name is not there, circles, too many steps. */
export function checkMacros(setup: Setup): readonly Refusal[] {
  return setup.macros.flatMap((macro) => {
    const wrong = checkSteps(setup, macro.steps) ?? checkLength(setup, macro);
    return wrong ? [wrong] : [];
  });
}

function checkSteps(setup: Setup, steps: readonly MacroStep[]): Refusal | null {
  for (const step of steps) {
    const wrong = checkStep(setup, step);
    if (wrong) return wrong;
  }
  return null;
}

function checkStep(setup: Setup, step: MacroStep): Refusal | null {
  const lacks = (list: readonly { readonly id: string }[], id: string) =>
    !list.some((item) => item.id === id);
  if (step.kind === 'repeat') return checkSteps(setup, step.steps);
  if (step.kind === 'focus' && lacks(setup.programs, step.program)) {
    return { code: 'unknown-program', program: step.program };
  }
  if (step.kind === 'layer' && lacks(setup.layers, step.layer)) {
    return { code: 'unknown-layer', layer: step.layer };
  }
  if (step.kind === 'macro' && lacks(setup.macros, step.macro)) {
    return { code: 'unknown-macro', macro: step.macro };
  }
  return null;
}

function checkLength(setup: Setup, macro: Macro): Refusal | null {
  const count = countSteps(setup, macro, []);
  if (count === null) return { code: 'macro-circle', macro: macro.name };
  const times = macro.run === 'times' ? macro.times : 1;
  return count * times > MOST_STEPS ? { code: 'macro-too-long', macro: macro.name, limit: MOST_STEPS } : null;
}

/** How many steps one round of a macro comes to, at most a few more than allowed; null for a circle. */
function countSteps(setup: Setup, macro: Macro, above: readonly string[]): number | null {
  if (above.includes(macro.id)) return null;
  const within = [...above, macro.id];
  const count = (steps: readonly MacroStep[]): number | null => {
    let total = 0;
    for (const step of steps) {
      const own = countStep(step);
      if (own === null) return null;
      total += own;
      if (total > MOST_STEPS) return total;
    }
    return total;
  };
  const countStep = (step: MacroStep): number | null => {
    if (step.kind === 'repeat') {
      const inside = count(step.steps);
      return inside === null ? null : Math.max(1, inside) * step.times;
    }
    if (step.kind !== 'macro') return 1;
    const other = setup.macros.find(({ id }) => id === step.macro);
    return other ? countSteps(setup, other, within) : 0;
  };
  return count(macro.steps);
}
