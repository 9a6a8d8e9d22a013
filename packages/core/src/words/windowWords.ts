import type { NeverDecides, ProfileCandidate, RuleField } from '../resolve/index.ts';
import type { Setup } from '../setup/index.ts';
import { profileName } from './names.ts';
import { ruleWords } from './why.ts';

/** The parts of a window, as people call them. */
export const WINDOW_WORDS = {
  executable: 'program file',
  class: 'class',
  title: 'title',
} as const satisfies Record<RuleField, string>;

/** Why a profile whose rule fits a window was taken or not. */
export function candidateWords({ profile, verdict }: ProfileCandidate, setup: Setup): string {
  const name = profileName(setup, profile);
  switch (verdict) {
    case 'decides':
      return `${name} decides: of the rules that fit, this one says the most.`;
    case 'less-specific':
      return `${name} fits too, but another rule says more of the window.`;
    case 'later':
      return `${name} fits as well; the one that decides stands earlier in the list of programs.`;
    case 'kept-out':
      return `${name} would fit, but a rule of its own keeps this window out.`;
    case 'pinned-over':
      return `${name} fits, but a profile is pinned.`;
  }
}

/** Why a rule can never decide. */
export function neverWords(setup: Setup, never: NeverDecides): string {
  switch (never.why) {
    case 'kept-out':
      return `It can never fit: every window of it is kept out because ${ruleWords(never.by)}.`;
    case 'earlier':
      return `It can never decide: ${profileName(setup, never.profile)} takes all its windows, as ${ruleWords(never.by)}.`;
  }
}
