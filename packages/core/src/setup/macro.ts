import { z } from 'zod';
import { idSchema, nameSchema } from '../devices/index.ts';
import { KEY_BY_CODE } from '../keys/index.ts';
import { clickFields, type Place, typedTextSchema, wheelFields } from './action.ts';
import { shortcutSchema } from './shortcutSchema.ts';

/** A key by its W3C `KeyboardEvent.code`. */
const codeSchema = z
  .string()
  .max(40)
  .refine((code) => KEY_BY_CODE.has(code));

/** One step of a macro. Waits are in milliseconds. */
export type MacroStep =
  | { kind: 'shortcut'; shortcut: string }
  | { kind: 'key-down' | 'key-up'; code: string }
  | { kind: 'text'; text: string }
  | { kind: 'wait'; ms: number }
  | { kind: 'button'; button: number; change: 'down' | 'up' }
  | { kind: 'click'; button: number; count: number; at: Place | null }
  | { kind: 'wheel'; ticks: number; axis: 'vertical' | 'horizontal' }
  | { kind: 'focus'; program: string }
  | { kind: 'layer'; layer: string; on: boolean }
  | { kind: 'macro'; macro: string }
  | { kind: 'repeat'; times: number; steps: MacroStep[] };

/** The most steps one list of them may have, and the most a run may come to with repeats and other macros. */
const STEPS_IN_A_LIST = 500;
export const MOST_STEPS = 10_000;

const stepSchema: z.ZodType<MacroStep> = z.lazy(() =>
  z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('shortcut'), shortcut: shortcutSchema }),
    z.strictObject({ kind: z.enum(['key-down', 'key-up']), code: codeSchema }),
    z.strictObject({ kind: z.literal('text'), text: typedTextSchema }),
    z.strictObject({ kind: z.literal('wait'), ms: z.number().min(1).max(600_000) }),
    z.strictObject({
      kind: z.literal('button'),
      button: z.number().int().min(0).max(4),
      change: z.enum(['down', 'up']),
    }),
    z.strictObject(clickFields),
    z.strictObject(wheelFields),
    z.strictObject({ kind: z.literal('focus'), program: idSchema }),
    z.strictObject({ kind: z.literal('layer'), layer: idSchema, on: z.boolean() }),
    z.strictObject({ kind: z.literal('macro'), macro: idSchema }),
    z.strictObject({
      kind: z.literal('repeat'),
      times: z.number().int().min(1).max(MOST_STEPS),
      steps: z.array(stepSchema).max(STEPS_IN_A_LIST),
    }),
  ]),
);

/** Steps in a row, run by a binding. */
export const macroSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  steps: z.array(stepSchema).max(STEPS_IN_A_LIST),
  /** `times` as often as that; `held`: round and round while held; `toggle`: until pressed again. */
  run: z.enum(['times', 'held', 'toggle']),
  times: z.number().int().min(1).max(MOST_STEPS),
  /** What a press while it is running does. */
  again: z.enum(['ignore', 'restart', 'queue']),
  /** Whether it goes on when its profile no longer applies. */
  goesOn: z.boolean(),
});
export type Macro = z.infer<typeof macroSchema>;
