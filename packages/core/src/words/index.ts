export {
  type ActionInfo,
  buttonName,
  commandWithShortcut,
  commonCommandsIn,
  describeAction,
  describeActionIn,
  FAMILY_NAMES,
  nativeName,
} from './actions.ts';
export { changeWords } from './changes.ts';
export { bytesProblemWords, descriptorProblemWords } from './descriptorProblems.ts';
export { type EditNames, editWords, fieldsWords, placeWords } from './edits.ts';
export { type Account, accountOf } from './explanations.ts';
export { formatProblemWords } from './formatProblems.ts';
export { holdWords } from './holdWords.ts';
// Why a value is not taken has a path of its own, `words/issues`: pages ask for it only when one is not.
export { macroFindingWords, windowAskedWords } from './macroFindings.ts';
export { clickPlaceWords, durationWords, LATE_WORDS, STEP_KINDS, stepName, stepWords } from './macroSteps.ts';
export { memoryDoesWords, memoryProblemWords, memoryReasonWords } from './memory.ts';
export {
  capital,
  controlUseWords,
  deviceName,
  intentName,
  layerName,
  macroName,
  pageName,
  profileName,
  programName,
  radialMenuName,
  triggerName,
  triggerNameIn,
  triggerWord,
} from './names.ts';
export { tidy } from './numbers.ts';
export { refusalWords } from './refusals.ts';
export { cameUpOf, menuText, type Sent, sentOf, wheelText } from './sent.ts';
export { regexProblemWords, shortcutProblemWords } from './textProblems.ts';
export { decisionWords, ruleWords } from './why.ts';
export { whyThisOne } from './whyThisOne.ts';
export { candidateWords, neverWords, WINDOW_WORDS } from './windowWords.ts';
