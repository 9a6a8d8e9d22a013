import type { MacroStep, StepBody, StepHead } from './macro.ts';

/** A step without an id, and its inner ones too; what most steps do not have may be left out. */
export type BareStep = Partial<Omit<StepHead, 'id'>> & BareBody;
type BareBody = StepBody extends infer Body
  ? Body extends { steps: MacroStep[] }
    ? Omit<Body, 'steps'> & { readonly steps: readonly BareStep[] }
    : Body extends { keys: string | null }
      ? Omit<Body, 'keys'> & { keys?: string | null }
      : Body
  : never;

/** A step as it is kept, with its id; `inner` does the same for the steps inside it. */
export function wholeStep(
  step: BareStep,
  id: string,
  inner: (steps: readonly BareStep[]) => MacroStep[],
): MacroStep {
  const head = { note: null, skipped: false };
  if ('steps' in step) return { ...head, ...step, id, steps: inner(step.steps) };
  const held = step.kind === 'click' || step.kind === 'wheel' ? { keys: null } : {};
  return { ...head, ...held, ...step, id } as MacroStep;
}

/** Gives steps ids by their places: `step-1`, `step-2`, inside the second `step-2-1`. */
export function numberSteps(steps: readonly BareStep[], prefix = 'step'): MacroStep[] {
  return steps.map((step, i) => {
    const id = `${prefix}-${i + 1}`;
    return wholeStep(step, id, (inside) => numberSteps(inside, id));
  });
}

/** Gives things of a list ids by their places: `item-1`, `item-2`. */
export function numberItems<Item extends object>(items: readonly Item[], word: string) {
  return items.map((item, i) => ({ id: `${word}-${i + 1}`, ...item }));
}
