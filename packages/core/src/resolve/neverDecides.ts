import { compilePattern, type Pattern, type Rule, type Setup, sameJson } from '../setup/index.ts';
import { RULE_FIELDS, rulesOf } from './ruleFit.ts';
import { compareRules, indexRules } from './ruleIndex.ts';

/** Why a rule can bring its profile no window, whatever is open. */
export type NeverDecides =
  | { readonly why: 'kept-out'; readonly by: Rule }
  | { readonly why: 'earlier'; readonly profile: string; readonly by: Rule };

/**
 * The rules that can never decide, by profile and rule: `profile/rule`. Only what is certain is told: a rule that keeps
 * out every window it could fit, or a rule of another profile that fits them all and wins.
 */
export function neverDecides(setup: Setup): ReadonlyMap<string, NeverDecides> {
  const found = new Map<string, NeverDecides>();
  const order = indexRules(setup).order.map((profile) => ({ profile, rules: rulesOf(setup, profile) }));
  for (const [place, { profile, rules }] of order.entries()) {
    for (const rule of rules) {
      if (rule.negative) continue;
      const never = keptOut(rule, rules) ?? takenBy(rule, place, order);
      if (never) found.set(`${profile}/${rule.id}`, never);
    }
  }
  return found;
}

function keptOut(rule: Rule, rules: readonly Rule[]): NeverDecides | null {
  const by = rules.find((other) => other.negative && coversRule(other, rule));
  return by ? { why: 'kept-out', by } : null;
}

/** One that keeps nothing out, fits whatever this one fits, and comes first. */
function takenBy(
  rule: Rule,
  place: number,
  order: readonly { readonly profile: string; readonly rules: readonly Rule[] }[],
): NeverDecides | null {
  for (const [i, { profile, rules }] of order.entries()) {
    if (i === place || rules.some(({ negative }) => negative)) continue;
    const by = rules.find((other) => {
      const before = compareRules(other, rule);
      return (before < 0 || (before === 0 && i < place)) && coversRule(other, rule);
    });
    if (by) return { why: 'earlier', profile, by };
  }
  return null;
}

/** Whether the wider rule certainly fits every window that the narrower one fits. */
function coversRule(wider: Rule, narrower: Rule): boolean {
  return RULE_FIELDS.every((field) => {
    const [asked, given] = [wider[field], narrower[field]];
    if (!asked || asksNothing(asked)) return true;
    return given !== null && coversPattern(asked, given);
  });
}

/** Two patterns that are no texts are compared as they are written: whether one holds all of another is not worked out. */
function coversPattern(wider: Pattern, narrower: Pattern): boolean {
  if (sameJson(wider, narrower)) return true;
  if (narrower.match !== 'exact') return false;
  const compiled = compilePattern(wider);
  return compiled.ok && compiled.value(narrower.text);
}

/** A glob of nothing but stars fits every text. */
function asksNothing({ match, text }: Pattern): boolean {
  return match === 'glob' && /^\*+$/.test(text);
}
