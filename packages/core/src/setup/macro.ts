import { z } from 'zod';
import { because, idSchema, LINE_PATTERN, nameSchema } from '../devices/index.ts';
import { KEY_BY_CODE } from '../keys/index.ts';
import { clickFields, type Place, typedTextSchema, wheelFields } from './action.ts';
import { noteSchema } from './binding.ts';
import { type WindowAsked, windowSchema } from './rule.ts';
import { shortcutSchema } from './shortcutSchema.ts';

/** A key by its W3C `KeyboardEvent.code`. */
const codeSchema = z
  .string()
  .max(40)
  .refine((code) => KEY_BY_CODE.has(code), because('key-code'));

/** What one step of a macro does. Times are in milliseconds. */
export type StepBody =
  | { kind: 'shortcut'; shortcut: string }
  | { kind: 'key-down' | 'key-up'; code: string }
  | { kind: 'hold'; keys: string; steps: MacroStep[] }
  | { kind: 'text'; text: string }
  | { kind: 'wait'; ms: number }
  | { kind: 'until'; window: WindowAsked; atMostMs: number; late: 'stop' | 'go-on' }
  | { kind: 'button'; button: number; change: 'down' | 'up' }
  | { kind: 'click'; button: number; count: number; at: Place | null; keys: string | null }
  | { kind: 'wheel'; ticks: number; axis: 'vertical' | 'horizontal'; keys: string | null }
  | { kind: 'pointer'; change: 'remember' | 'back' }
  | { kind: 'menu'; path: string[] }
  | { kind: 'focus'; program: string; launch: boolean }
  | { kind: 'layer'; layer: string; on: boolean }
  | { kind: 'macro'; macro: string }
  | { kind: 'repeat'; times: number; steps: MacroStep[] };

/** What every step has besides what it does. */
export interface StepHead {
  /** Its own in the whole macro. */
  id: string;
  /** Why it is there. */
  note: string | null;
  /** Left out for now, with all that is in it. */
  skipped: boolean;
}

/** One step of a macro. */
export type MacroStep = StepHead & StepBody;
/** A step with others inside it. */
export type BlockStep = Extract<MacroStep, { steps: MacroStep[] }>;

/** Whether a step has others inside it. */
export function isBlock(step: MacroStep): step is BlockStep {
  return step.kind === 'repeat' || step.kind === 'hold';
}

/** How long a macro waits for a window if nobody says otherwise: milliseconds. */
export const USUAL_WAIT_MS = 3000;
/** The longest wait of a step: milliseconds. */
const LONGEST_WAIT_MS = 600_000;
/** The most names from a menu down to its item. */
const MENU_DEEP = 6;

/** The most steps one list of them may have, and the most a run may come to with repeats and other macros. */
export const STEPS_IN_A_LIST = 500;
/**
 * Steps of a macro with all it runs and repeats: beyond that a person has made a mistake, and would wait for hours.
 */
export const MOST_STEPS = 10_000;

/** How deep lists of steps may stand in each other, the macro's own list counted. */
export const STEPS_DEEP = 8;

/** Steps have ids, so that two people can edit different steps at once. */
const head = {
  id: idSchema,
  note: noteSchema.nullable().default(null),
  skipped: z.boolean().default(false),
};
/** An item of a menu, as it stands there. */
const itemSchema = z.string().trim().min(1).max(120).regex(LINE_PATTERN, because('line'));
/** Held while the pointer does something; null for nothing, so that each can be set by itself. */
const heldSchema = shortcutSchema.nullable().default(null);
/** Steps that hold no others. */
const plainSteps = [
  z.strictObject({ ...head, kind: z.literal('shortcut'), shortcut: shortcutSchema }),
  z.strictObject({ ...head, kind: z.enum(['key-down', 'key-up']), code: codeSchema }),
  z.strictObject({ ...head, kind: z.literal('text'), text: typedTextSchema }),
  z.strictObject({ ...head, kind: z.literal('wait'), ms: z.number().min(1).max(LONGEST_WAIT_MS) }),
  /** Until a window is in front that is as asked; it is satisfied at once where it is there already. */
  z.strictObject({
    ...head,
    kind: z.literal('until'),
    window: windowSchema,
    atMostMs: z.number().min(1).max(LONGEST_WAIT_MS).default(USUAL_WAIT_MS),
    /** What becomes of the macro where it does not come in time. */
    late: z.enum(['stop', 'go-on']).default('stop'),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('button'),
    button: z.number().int().min(0).max(4),
    change: z.enum(['down', 'up']),
  }),
  z.strictObject({ ...head, ...clickFields, keys: heldSchema }),
  z.strictObject({ ...head, ...wheelFields, keys: heldSchema }),
  /** Remembers where the pointer is, or puts it back there. */
  z.strictObject({ ...head, kind: z.literal('pointer'), change: z.enum(['remember', 'back']) }),
  /** An item of the front window's menus by its words, from the menu down. */
  z.strictObject({ ...head, kind: z.literal('menu'), path: z.array(itemSchema).min(1).max(MENU_DEEP) }),
  z.strictObject({
    ...head,
    kind: z.literal('focus'),
    program: idSchema,
    /** Started where it does not run. */
    launch: z.boolean().default(false),
  }),
  z.strictObject({ ...head, kind: z.literal('layer'), layer: idSchema, on: z.boolean() }),
  z.strictObject({ ...head, kind: z.literal('macro'), macro: idSchema }),
] as const;

/** What a repeat of steps has of its own. */
const repeatFields = {
  ...head,
  kind: z.literal('repeat'),
  times: z.number().int().min(1).max(MOST_STEPS),
};
/** Keys that are held round steps. */
const holdFields = { ...head, kind: z.literal('hold'), keys: shortcutSchema };

/** Where blocks end being nested: anything there is refused with its reason, not with the parser's. */
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
  byDepth.unshift(
    z.discriminatedUnion('kind', [
      ...plainSteps,
      z.strictObject({ ...repeatFields, steps: inner }),
      z.strictObject({ ...holdFields, steps: inner }),
    ]),
  );
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
  z.strictObject(repeatFields),
  z.strictObject(holdFields),
]);

/** The longest pace of a macro: milliseconds. */
const MOST_PACE_MS = 2000;

/** Steps in a row, run by a binding. */
export const macroSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  /** The program it is for, by which it is found in lists; null for one of none. */
  program: idSchema.nullable().default(null),
  steps: z.array(stepSchema).max(STEPS_IN_A_LIST),
  /** `times` as often as that; `held`: round and round while held; `toggle`: until pressed again. */
  run: z.enum(['times', 'held', 'toggle']),
  times: z.number().int().min(1).max(MOST_STEPS),
  /** What a press while it is running does. */
  again: z.enum(['ignore', 'restart', 'queue']),
  /** Whether it goes on when its profile no longer applies. */
  goesOn: z.boolean(),
  /** The least time between two things it sends, for programs that lose keys: milliseconds. */
  pace: z.number().min(0).max(MOST_PACE_MS).default(0),
});
/** Steps one after the other. */
export type Macro = z.infer<typeof macroSchema>;

/** Steps with those inside others, each before what is in it. */
export function everyStep(steps: readonly MacroStep[]): readonly MacroStep[] {
  return steps.flatMap((step) => (isBlock(step) ? [step, ...everyStep(step.steps)] : [step]));
}

/** The ids of steps, those inside others too. */
export function stepIds(steps: readonly MacroStep[]): readonly string[] {
  return everyStep(steps).map(({ id }) => id);
}
