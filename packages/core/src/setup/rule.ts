import { z } from 'zod';
import { because, idSchema, LINE_PATTERN } from '../devices/index.ts';
import { compilePattern } from './patterns/pattern.ts';

/** Compares one thing of a window. A bad regular expression is refused; the issue's `params` say why. */
export const patternSchema = z
  .strictObject({
    match: z.enum(['exact', 'glob', 'regex']),
    text: z.string().trim().min(1).max(200).regex(LINE_PATTERN, because('line')),
  })
  .check((context) => {
    const compiled = compilePattern(context.value);
    if (!compiled.ok)
      context.issues.push({ code: 'custom', input: context.value, params: { ...compiled.problem } });
  });

/** A part of the window that a rule may ask for. */
const field = patternSchema.nullable().default(null);

/** What can be asked of a window: every field that is given must fit. */
const windowFields = { executable: field, class: field, title: field };

/** One that asks nothing would fit every window. */
const asksSomething = (asked: { readonly [Field in keyof typeof windowFields]: unknown }) =>
  Boolean(asked.executable || asked.class || asked.title);

/** A window that is waited for. */
export const windowSchema = z.strictObject(windowFields).refine(asksSomething, because('rule-empty'));
/** What a window must be like. */
export type WindowAsked = z.infer<typeof windowSchema>;

/** Recognises windows of a program or a profile. A negative rule keeps windows out. */
export const ruleSchema = z
  .strictObject({ id: idSchema, negative: z.boolean().default(false), ...windowFields })
  .refine(asksSomething, because('rule-empty'));
/** Which windows belong to a program, or do not. */
export type Rule = z.infer<typeof ruleSchema>;

/** The rule that most programs have: the executable's name, exactly. */
export function executableRule(text: string): Rule {
  return { id: 'rule-1', negative: false, executable: { match: 'exact', text }, class: null, title: null };
}
