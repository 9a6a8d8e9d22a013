import { z } from 'zod';
import { EVERYWHERE, profileOf, type Rule, type Setup } from '../setup/index.ts';

const text = z.string().max(1000);

/** A program's window, as the desk reports it. */
export const frontWindowSchema = z.strictObject({ executable: text, class: text, title: text });
export type FrontWindow = z.infer<typeof frontWindowSchema>;

/** A profile whose rule fits the window. */
export interface ProfileCandidate {
  readonly profile: string;
  readonly rule: Rule;
  /** `later`: it fits, but stands after the deciding one in the person's order. */
  readonly verdict: 'decides' | 'later';
}

export interface ProfileDecision {
  readonly profile: string;
  readonly because: 'rule' | 'nothing-fits' | 'pinned' | 'no-window';
  readonly candidates: readonly ProfileCandidate[];
}

/** Rules by the executable they name, each list in the person's order. */
export type RuleIndex = ReadonlyMap<string, readonly { readonly profile: string; readonly rule: Rule }[]>;

/** Indexes a set-up's rules so that a change of front need not walk them. */
export function indexRules(setup: Setup): RuleIndex {
  const index = new Map<string, { profile: string; rule: Rule }[]>();
  for (const program of setup.programs) {
    const profile = profileOf(setup, program.id);
    if (!profile) continue;
    for (const rule of program.rules) {
      const entries = index.get(rule.executable.text) ?? [];
      if (!entries.some((entry) => entry.profile === profile.id)) entries.push({ profile: profile.id, rule });
      index.set(rule.executable.text, entries);
    }
  }
  return index;
}

/** Which profile a window gets: a pinned one; else the first whose rule fits; else Everywhere. */
export function resolveProfile(
  index: RuleIndex,
  window: FrontWindow | null,
  pinned: string | null,
): ProfileDecision {
  const fits = window ? (index.get(window.executable) ?? []) : [];
  const candidates = fits.map(({ profile, rule }, i) => ({
    profile,
    rule,
    verdict: i === 0 && pinned === null ? ('decides' as const) : ('later' as const),
  }));
  if (pinned !== null) return { profile: pinned, because: 'pinned', candidates };
  const first = candidates[0];
  if (first) return { profile: first.profile, because: 'rule', candidates };
  return { profile: EVERYWHERE, because: window ? 'nothing-fits' : 'no-window', candidates };
}
