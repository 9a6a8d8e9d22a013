export { profileChain } from './chain.ts';
export { type Look, nextUnder, type Resolution, resolveBehaviour } from './resolveBehaviour.ts';
export {
  type FrontWindow,
  frontWindowSchema,
  indexRules,
  type ProfileCandidate,
  type ProfileDecision,
  type RuleIndex,
  resolveProfile,
} from './resolveProfile.ts';
