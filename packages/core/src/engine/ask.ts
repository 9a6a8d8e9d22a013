/** A question in text: `‹ask Which shot?›`. Marks that no keyboard types by chance. */
const ASK = /‹ask(?: ([^‹›\n]{1,80}))?›/gu;
/** How long an answer is waited for: milliseconds. */
export const ASKED_MS = 60_000;
/** An answer has at most so many characters. */
export const MOST_ANSWER = 1000;
/** Text asks at most so many questions; more are not asked. */
export const MOST_ASKED = 20;

/** The questions that text asks before it is typed, in their order; one without words is empty. */
export function questionsOf(text: string): readonly string[] {
  return [...text.matchAll(ASK)].slice(0, MOST_ASKED).map(([, question]) => question ?? '');
}

/**
 * Text with what was answered in place of its questions, one after the other; a question without an answer is nothing.
 * What is put in is not read again: marks of fields are left out of it.
 */
export function answeredText(text: string, answers: readonly string[]): string {
  let next = 0;
  return text.replace(ASK, () => (answers[next++] ?? '').replace(/[‹›]/gu, ''));
}
