import { type ChangeEvent, type KeyboardEvent, useEffect, useRef, useState } from 'react';

/** A pause in typing after which what was typed is kept; long enough to think of a word. */
const PAUSE_MS = 900;

/**
 * A text field that saves by itself: when it is left, at Enter, and after a pause in typing. Escape goes
 * back to what is saved. A component that uses it is keyed by what it edits.
 */
export function useDraft(saved: string, save: (text: string) => void) {
  const [draft, setDraft] = useState<string | null>(null);
  const latest = useRef({ draft, saved, save });
  latest.current = { draft, saved, save };

  const flush = () => {
    const { draft: text, saved: before, save: write } = latest.current;
    // Before it is written: what is written may take this field away, which would write it again.
    latest.current = { ...latest.current, draft: null };
    if (text !== null && text !== before) write(text);
    setDraft(null);
  };
  useEffect(
    () => () => {
      const { draft: text, saved: before, save: write } = latest.current;
      if (text !== null && text !== before) write(text);
    },
    [],
  );
  useEffect(() => {
    if (draft === null || draft === saved) return;
    const timer = setTimeout(() => {
      const { save: write } = latest.current;
      latest.current = { ...latest.current, saved: draft };
      write(draft);
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [draft, saved]);

  return {
    value: draft ?? saved,
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => setDraft(event.target.value),
    onBlur: flush,
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key === 'Enter' && !event.shiftKey) flush();
      if (event.key === 'Escape') setDraft(null);
    },
  };
}
