export { readAsMadeOn } from './madeOn.ts';
export { freeShortcut, type TypingReport, typingReport, type Untypeable, useOnLayout } from './untypeable.ts';
