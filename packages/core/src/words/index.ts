export { editWords } from './edits.ts';
export { type Account, accountOf, whyThisOne } from './explanations.ts';
export {
  type ActionInfo,
  commandWithShortcut,
  describeAction,
  deviceName,
  FAMILY_NAMES,
  profileName,
  triggerName,
  triggerNameIn,
} from './names.ts';
export { refusalWords, shortcutProblemWords } from './refusals.ts';
export { type Sent, sentOf } from './sent.ts';
