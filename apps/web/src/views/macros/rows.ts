import { stepNumbers } from '@nimble-lever/core/macros';
import { isBlock, type Macro, type MacroStep } from '@nimble-lever/core/setup';

/** A step as the score draws it. */
export interface ScoreRow {
  readonly step: MacroStep;
  /** How many blocks it stands in. */
  readonly depth: number;
  /** As people count: `3`, the second inside it `3.2`. */
  readonly number: string;
  /** The block it stands in; null for the macro's own list. */
  readonly block: string | null;
  /** Left out by itself or with a block. */
  readonly skipped: boolean;
}

/** The steps of a macro from the top down, those inside others indented. */
export function rowsOf(macro: Macro): readonly ScoreRow[] {
  const numbers = stepNumbers(macro.steps);
  const walk = (
    steps: readonly MacroStep[],
    depth: number,
    block: string | null,
    skipped: boolean,
  ): readonly ScoreRow[] =>
    steps.flatMap((step) => {
      const out = skipped || step.skipped;
      const row: ScoreRow = { step, depth, number: numbers.get(step.id) ?? '', block, skipped: out };
      return isBlock(step) ? [row, ...walk(step.steps, depth + 1, step.id, out)] : [row];
    });
  return walk(macro.steps, 0, null, false);
}
