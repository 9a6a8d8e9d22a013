import { flushSync } from 'react-dom';

/**
 * Holds back what is pressed until what it is meant for is there; the answer ends that and gives the presses.
 * Shortcuts with Ctrl, Alt or Meta go on as they are unless `all` keys are meant, as by what records them.
 */
export function holdKeys(all = false): () => readonly KeyboardEvent[] {
  const held: KeyboardEvent[] = [];
  const ended = new AbortController();
  const hold = (event: KeyboardEvent) => {
    if (!event.isTrusted || (!all && (event.ctrlKey || event.altKey || event.metaKey))) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    held.push(event);
  };
  const options = { capture: true, signal: ended.signal };
  window.addEventListener('keydown', hold, options);
  // A shortcut is taken when its keys come up.
  if (all) window.addEventListener('keyup', hold, options);
  return () => {
    ended.abort();
    return held;
  };
}

/** Gives a field what was pressed, as if it were typed now. */
export function typeInto(field: HTMLInputElement, held: readonly KeyboardEvent[]): void {
  for (const event of held) {
    // Drawn after each, so that Enter finds what was typed before it.
    if (event.key.length === 1) flushSync(() => setValue(field, field.value + event.key));
    else pressAgain(field, [event]);
  }
}

/** Does to an element what was pressed. */
export function pressAgain(element: Element, held: readonly KeyboardEvent[]): void {
  for (const { type, key, code, repeat } of held) {
    flushSync(() => element.dispatchEvent(new KeyboardEvent(type, { key, code, repeat, bubbles: true })));
  }
}

/** As typing does it: React takes no note of a value that is set on the element itself. */
function setValue(field: HTMLInputElement, value: string): void {
  const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value') ?? {};
  set?.call(field, value);
  field.dispatchEvent(new InputEvent('input', { bubbles: true }));
}
