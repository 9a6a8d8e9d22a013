import type { MacroStep, StepBody } from './macro.ts';

/** A step without ids, its inner ones too. */
export type BareStep =
  | Exclude<StepBody, { kind: 'repeat' }>
  | { kind: 'repeat'; times: number; steps: readonly BareStep[] };

/** Gives steps ids by their places: `step-1`, `step-2`, inside the second `step-2-1`. */
export function numberSteps(steps: readonly BareStep[], prefix = 'step'): MacroStep[] {
  return steps.map((step, i): MacroStep => {
    const id = `${prefix}-${i + 1}`;
    return step.kind === 'repeat' ? { id, ...step, steps: numberSteps(step.steps, id) } : { id, ...step };
  });
}

/** Gives things of a list ids by their places: `item-1`, `item-2`. */
export function numberItems<Item extends object>(items: readonly Item[], word: string) {
  return items.map((item, i) => ({ id: `${word}-${i + 1}`, ...item }));
}
