import { compilePattern, type Rule, type Setup, type WindowAsked } from '../setup/index.ts';
import type { FrontWindow } from './frontWindow.ts';

/** What a rule can ask of a window. */
export const RULE_FIELDS = ['executable', 'class', 'title'] as const;
/** One of them. */
export type RuleField = (typeof RULE_FIELDS)[number];

/** The fields that a window does not have as asked, by a rule or a macro that waits; none where it fits. */
export function unfittingFields(rule: WindowAsked, window: FrontWindow): readonly RuleField[] {
  return RULE_FIELDS.filter((field) => {
    const pattern = rule[field];
    if (!pattern) return false;
    const compiled = compilePattern(pattern);
    return !(compiled.ok && compiled.value(window[field]));
  });
}

/** The rules by which a profile gets its windows: its own, or its program's where it has none. */
export function rulesOf(setup: Setup, profile: string): readonly Rule[] {
  const found = setup.profiles[profile];
  if (!found) return [];
  if (found.rules.length > 0) return found.rules;
  return setup.programs.find(({ id }) => id === found.program)?.rules ?? [];
}
