export { profileChain } from './chain.ts';
export { type FrontWindow, frontWindowSchema } from './frontWindow.ts';
export { type Look, nextUnder, type Resolution, resolveBehaviour } from './resolveBehaviour.ts';
export { type ProfileCandidate, type ProfileDecision, resolveProfile } from './resolveProfile.ts';
export { indexRules, type RuleIndex } from './ruleIndex.ts';
