import { z } from 'zod';
import { because, idSchema, nameSchema } from '../devices/index.ts';
import { KEY_BY_CODE } from '../keys/index.ts';
import { clickFields, type Place, typedTextSchema, wheelFields } from './action.ts';
import { shortcutSchema } from './shortcutSchema.ts';

/** A key by its W3C `KeyboardEvent.code`. */
const codeSchema = z
  .string()
  .max(40)
  .refine((code) => KEY_BY_CODE.has(code), because('key-code'));

/** What one step of a macro does. Waits are in milliseconds. */
export type StepBody =
  | { kind: 'shortcut'; shortcut: string }
  | { kind: 'key-down' | 'key-up'; code: string }
  | { kind: 'text'; text: string }
  | { kind: 'wait'; ms: number }
  | { kind: 'button'; button: number; change: 'down' | 'up' }
  | { kind: 'click'; button: number; count: number; at: Place | null; keys?: string | undefined }
  | { kind: 'wheel'; ticks: number; axis: 'vertical' | 'horizontal'; keys?: string | undefined }
  | { kind: 'focus'; program: string }
  | { kind: 'layer'; layer: string; on: boolean }
  | { kind: 'macro'; macro: string }
  | { kind: 'repeat'; times: number; steps: MacroStep[] };

/** One step of a macro; its id is its own in the whole macro. */
export type MacroStep = { id: string } & StepBody;

/** The most steps one list of them may have, and the most a run may come to with repeats and other macros. */
export const STEPS_IN_A_LIST = 500;
/**
 * Steps of a macro with all it runs and repeats: beyond that a person has made a mistake, and would wait for hours.
 */
export const MOST_STEPS = 10_000;

/** How deep lists of steps may stand in each other, the macro's own list counted. */
export const STEPS_DEEP = 8;

/** Steps have ids, so that two people can edit different steps at once. */
const id = idSchema;
/** Steps that hold no others. */
const plainSteps = [
  z.strictObject({ id, kind: z.literal('shortcut'), shortcut: shortcutSchema }),
  z.strictObject({ id, kind: z.enum(['key-down', 'key-up']), code: codeSchema }),
  z.strictObject({ id, kind: z.literal('text'), text: typedTextSchema }),
  z.strictObject({ id, kind: z.literal('wait'), ms: z.number().min(1).max(600_000) }),
  z.strictObject({
    id,
    kind: z.literal('button'),
    button: z.number().int().min(0).max(4),
    change: z.enum(['down', 'up']),
  }),
  z.strictObject({ id, ...clickFields }),
  z.strictObject({ id, ...wheelFields }),
  z.strictObject({ id, kind: z.literal('focus'), program: idSchema }),
  z.strictObject({ id, kind: z.literal('layer'), layer: idSchema, on: z.boolean() }),
  z.strictObject({ id, kind: z.literal('macro'), macro: idSchema }),
] as const;

/** A repeat of steps. */
const repeatOf = (steps: z.ZodType<MacroStep[]>) =>
  z.strictObject({ id, kind: z.literal('repeat'), times: z.number().int().min(1).max(MOST_STEPS), steps });

/** Where repeats end being nested: anything there is refused with its reason, not with the parser's. */
const tooDeep = z
  .array(z.unknown())
  .check(({ value, issues }) => {
    if (value.length > 0) issues.push({ code: 'custom', input: value, params: { code: 'steps-too-deep' } });
  })
  .transform((): MacroStep[] => []);

/**
 * The schemas of steps by how many lists down they stand, the deepest first. Written out to the end, so that no input
 * can recurse.
 */
const byDepth: z.ZodType<MacroStep>[] = [];
for (let deep = STEPS_DEEP; deep > 0; deep--) {
  const [below] = byDepth;
  const inner = below ? z.array(below).max(STEPS_IN_A_LIST) : tooDeep;
  byDepth.unshift(z.discriminatedUnion('kind', [...plainSteps, repeatOf(inner)]));
}

/** The schema of a step that stands `deep` lists down, from 1; null where none can stand. */
export function stepSchemaAt(deep: number): z.ZodType<MacroStep> | null {
  return byDepth[deep - 1] ?? null;
}
/** A step that stands in a macro’s own list. */
export const stepSchema: z.ZodType<MacroStep> = byDepth[0] ?? z.never();

/** A step without the steps inside it. */
export const ownStepSchema = z.discriminatedUnion('kind', [
  ...plainSteps,
  repeatOf(z.array(z.never())).omit({ steps: true }),
]);

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
/** Steps one after the other. */
export type Macro = z.infer<typeof macroSchema>;

/** The ids of steps, those inside others too. */
export function stepIds(steps: readonly MacroStep[]): readonly string[] {
  return steps.flatMap((step) => (step.kind === 'repeat' ? [step.id, ...stepIds(step.steps)] : [step.id]));
}
