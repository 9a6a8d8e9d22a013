import { EVERYWHERE, type Rule } from '../setup/index.ts';
import type { FrontWindow } from './frontWindow.ts';
import { compareRules, type IndexedProfile, type RuleIndex } from './ruleIndex.ts';

/** A profile one of whose rules fits the window, with its most specific rule that does. */
export interface ProfileCandidate {
  readonly profile: string;
  readonly rule: Rule;
  /**
   * `less-specific`: it fits, but the deciding rule says more. `later`: as specific, but later in the person's
   * order. `kept-out`: a negative rule of its own fits too. `pinned-over`: another profile is pinned.
   */
  readonly verdict: 'decides' | 'less-specific' | 'later' | 'kept-out' | 'pinned-over';
}

/** Which profile applies and why, with those that fitted and lost. */
export interface ProfileDecision {
  readonly profile: string;
  readonly because: 'rule' | 'nothing-fits' | 'pinned' | 'no-window';
  /** Every profile a rule of which fits, and why it was not taken. */
  readonly candidates: readonly ProfileCandidate[];
}

/** Which profile a window gets: a pinned one; else that of the most specific rule; else Everywhere. */
export function resolveProfile(
  index: RuleIndex,
  window: FrontWindow | null,
  pinned: string | null,
): ProfileDecision {
  const fitting = window ? fittingProfiles(index, window) : [];
  const open = fitting.filter(({ keptOut }) => !keptOut);
  const best = open.toSorted((a, b) => compareRules(a.rule, b.rule) || a.order - b.order)[0];
  const candidates = fitting.map((fit): ProfileCandidate => {
    const verdict = fit.keptOut
      ? 'kept-out'
      : pinned !== null
        ? 'pinned-over'
        : fit === best
          ? 'decides'
          : best && compareRules(best.rule, fit.rule) < 0
            ? 'less-specific'
            : 'later';
    return { profile: fit.profile, rule: fit.rule, verdict };
  });
  if (pinned !== null) return { profile: pinned, because: 'pinned', candidates };
  if (best) return { profile: best.profile, because: 'rule', candidates };
  return { profile: EVERYWHERE, because: window ? 'nothing-fits' : 'no-window', candidates };
}

/** A rule that fits the window. */
interface Fit {
  readonly profile: string;
  /** In the person's list of programs, which breaks ties. */
  readonly order: number;
  readonly rule: Rule;
  /** Whether another rule keeps this window out. */
  readonly keptOut: boolean;
}

/** Only profiles that could fit are asked: those of the window’s executable, and those that name none. */
function fittingProfiles({ byExecutable, others }: RuleIndex, window: FrontWindow): readonly Fit[] {
  const fits: Fit[] = [];
  for (const profiles of [byExecutable.get(window.executable) ?? [], others]) {
    for (const each of profiles) {
      const rule = firstFitting(each, window);
      if (!rule) continue;
      const keptOut = each.negative.some((test) => test(window));
      fits.push({ profile: each.profile, order: each.order, rule, keptOut });
    }
  }
  return fits.toSorted((a, b) => a.order - b.order);
}

/** Rules stand with the most specific first. */
function firstFitting({ positive }: IndexedProfile, window: FrontWindow): Rule | null {
  for (const { rule, test } of positive) if (test(window)) return rule;
  return null;
}
