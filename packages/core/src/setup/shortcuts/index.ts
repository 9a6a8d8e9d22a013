export { readAsMadeOn } from './madeOn.ts';
export {
  freeShortcut,
  isUntypeable,
  type TypingReport,
  typingReport,
  type Untypeable,
  useOnLayout,
} from './untypeable.ts';
