import { freeId } from '@nimble-lever/core/devices';
import { itemAt, type Profile, type Program, type Rule, type SingleEdit } from '@nimble-lever/core/setup';

/** Where a rule stands: in its program's list, or in that of a profile. */
export function ruleAt(owner: Program, profile: Profile | null, rule: string): string {
  return `${profile ? itemAt.profile(profile.id) : itemAt.program(owner.id)}/rules/${rule}`;
}

/** Adds a rule behind the others of its list, under an id that none of them has. */
export function ruleAdded(owner: Program, profile: Profile | null, rule: Rule): SingleEdit {
  const { rules } = profile ?? owner;
  const id = freeId('rule', new Set(['rule', ...rules.map((each) => each.id)]), 'rule');
  const after = rules.at(-1)?.id ?? null;
  return { kind: 'add', at: ruleAt(owner, profile, id), item: { ...rule, id }, after };
}
