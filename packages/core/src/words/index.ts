export { editWords } from './edits.ts';
export { type Account, accountOf, ruleWords, whyThisOne } from './explanations.ts';
export {
  type ActionInfo,
  commandWithShortcut,
  describeAction,
  deviceName,
  FAMILY_NAMES,
  profileName,
  triggerName,
  triggerNameIn,
  triggerWord,
} from './names.ts';
export { refusalWords, regexProblemWords, shortcutProblemWords } from './refusals.ts';
export { type Sent, sentOf } from './sent.ts';
