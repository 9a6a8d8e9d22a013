import { type MacroStep, macroSchema } from '@nimble-lever/core/setup';
import { z } from 'zod';

/** Steps as they are copied: text that any editor shows, and any page of ours reads. */
const copiedSchema = z.strictObject({
  format: z.literal('nimble-lever/steps'),
  version: z.literal(1),
  steps: macroSchema.shape.steps,
});

/** Steps as text. */
export function copiedSteps(steps: readonly MacroStep[]): string {
  return JSON.stringify({ format: 'nimble-lever/steps', version: 1, steps }, null, 2);
}

/** Steps from text; null where there are none in it. */
export function pastedSteps(text: string): readonly MacroStep[] | null {
  try {
    return copiedSchema.safeParse(JSON.parse(text)).data?.steps ?? null;
  } catch {
    return null;
  }
}
