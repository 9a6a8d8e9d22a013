import { flushSync } from 'react-dom';

/**
 * Holds back what is typed until the field it is meant for is there. The answer gives it to the field, as if it were
 * typed now; without a field it is dropped. Shortcuts with Ctrl, Alt or Meta go on as they are.
 */
export function holdKeys(): (field: HTMLInputElement | null) => void {
  const held: string[] = [];
  const ended = new AbortController();
  const hold = (event: KeyboardEvent) => {
    if (!event.isTrusted || event.ctrlKey || event.altKey || event.metaKey) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    held.push(event.key);
  };
  window.addEventListener('keydown', hold, { capture: true, signal: ended.signal });
  return (field) => {
    ended.abort();
    if (!field) return;
    for (const key of held) {
      // Drawn after each, so that Enter finds what was typed before it.
      if (key.length === 1) flushSync(() => setValue(field, field.value + key));
      else flushSync(() => field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true })));
    }
  };
}

/** As typing does it: React takes no note of a value that is set on the element itself. */
function setValue(field: HTMLInputElement, value: string): void {
  const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value') ?? {};
  set?.call(field, value);
  field.dispatchEvent(new InputEvent('input', { bubbles: true }));
}
