import type { MacroStep, StepBody, StepHead } from './macro.ts';

/** A step without an id, and its inner ones too; a note only where there is one. */
export type BareStep = Partial<Omit<StepHead, 'id'>> & BareBody;
type BareBody = StepBody extends infer Body
  ? Body extends { steps: MacroStep[] }
    ? Omit<Body, 'steps'> & { readonly steps: readonly BareStep[] }
    : Body
  : never;

/** Gives steps ids by their places: `step-1`, `step-2`, inside the second `step-2-1`. */
export function numberSteps(steps: readonly BareStep[], prefix = 'step'): MacroStep[] {
  return steps.map((step, i): MacroStep => {
    const head = { id: `${prefix}-${i + 1}`, note: null, skipped: false };
    return 'steps' in step
      ? { ...head, ...step, steps: numberSteps(step.steps, head.id) }
      : { ...head, ...step };
  });
}

/** Gives things of a list ids by their places: `item-1`, `item-2`. */
export function numberItems<Item extends object>(items: readonly Item[], word: string) {
  return items.map((item, i) => ({ id: `${word}-${i + 1}`, ...item }));
}
