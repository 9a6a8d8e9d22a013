/** Inputs that take no letters. */
const NOT_TYPED = new Set(['checkbox', 'radio', 'button', 'range', 'submit']);

/** Whether keys go into a field now, so that they are typing. */
export function isTyping(): boolean {
  const { activeElement } = document;
  if (activeElement instanceof HTMLTextAreaElement) return true;
  return activeElement instanceof HTMLInputElement && !NOT_TYPED.has(activeElement.type);
}
