export { profileChain } from './chain.ts';
export { type FrontWindow, frontWindowSchema } from './frontWindow.ts';
export { type NeverDecides, neverDecides } from './neverDecides.ts';
export {
  coveringFolders,
  coveringOf,
  type Look,
  nextUnder,
  type Resolution,
  resolveBehaviour,
} from './resolveBehaviour.ts';
export { type ProfileCandidate, type ProfileDecision, resolveProfile } from './resolveProfile.ts';
export { RULE_FIELDS, type RuleField, rulesOf, unfittingFields } from './ruleFit.ts';
export { indexRules, type RuleIndex } from './ruleIndex.ts';
