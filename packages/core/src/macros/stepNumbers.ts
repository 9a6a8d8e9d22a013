import { isBlock, type MacroStep } from '../setup/index.ts';

/** Steps as people count them, by their ids: `3`, the second inside it `3.2`. */
export function stepNumbers(steps: readonly MacroStep[], prefix = ''): ReadonlyMap<string, string> {
  return new Map(
    steps.flatMap((step, i): (readonly [string, string])[] => {
      const number = `${prefix}${i + 1}`;
      return [[step.id, number], ...(isBlock(step) ? stepNumbers(step.steps, `${number}.`) : [])];
    }),
  );
}
