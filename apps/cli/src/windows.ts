import {
  type FrontWindow,
  indexRules,
  neverDecides,
  resolveProfile,
  rulesOf,
} from '@nimble-lever/core/resolve';
import type { Setup } from '@nimble-lever/core/setup';
import { candidateWords, decisionWords, neverWords, profileName, ruleWords } from '@nimble-lever/core/words';
import { readSetup } from './files.ts';

/** By which rules each profile is recognised, and which of them can never decide. */
export function listWindows(file: string): string {
  const setup = readSetup(file);
  const never = neverDecides(setup);
  return indexRules(setup)
    .order.flatMap((profile) =>
      rulesOf(setup, profile).map((rule) => {
        const why = never.get(`${profile}/${rule.id}`);
        const way = rule.negative ? 'not where ' : '';
        return `${profileName(setup, profile)}\t${way}${ruleWords(rule)}${why ? `\t${neverWords(setup, why)}` : ''}\n`;
      }),
    )
    .join('');
}

/** Which profile a window would get, and why not the others that fit. */
export function tryWindow(file: string, window: FrontWindow): string {
  const setup: Setup = readSetup(file);
  const decision = resolveProfile(indexRules(setup), window, null);
  const others = decision.candidates
    .filter(({ verdict }) => verdict !== 'decides')
    .map((candidate) => `${candidateWords(candidate, setup)}\n`);
  return `${profileName(setup, decision.profile)}\n${decisionWords(setup, decision)}\n${others.join('')}`;
}
