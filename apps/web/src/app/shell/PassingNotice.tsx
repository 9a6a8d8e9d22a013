import { styled } from '@mui/material/styles';
import { type ReactNode, useEffect, useLayoutEffect, useState } from 'react';

/** Read by then, unless the pointer or the keys are on it: ms. */
const STAYS_MS = 15_000;
/** Pixels between the field and what is said of it, and from the window's edges. */
const GAP = 6;
/** As wide as a sentence is read at one look. */
const WIDTH = 420;

const Place = styled('div')({
  position: 'fixed',
  zIndex: 1400,
  width: WIDTH,
  maxWidth: 'calc(100vw - 16px)',
});

/** Where the keys were last: what is refused on leaving a field is about that field. */
let lastField: Element | null = null;
if (typeof document !== 'undefined') {
  document.addEventListener('focusin', ({ target }) => {
    lastField = target instanceof Element ? target : null;
  });
}

interface Props {
  /** It was read, or what it is about is no longer there. */
  readonly onGone: () => void;
  readonly children: ReactNode;
}

/** A refusal, told below the field it is about; it goes by itself. */
export function PassingNotice({ onGone, children }: Props) {
  const [field] = useState(lastField);
  const [place, setPlace] = useState(() => placeBelow(field));
  const [held, setHeld] = useState(false);
  useEffect(() => {
    if (held) return;
    const timer = setTimeout(onGone, STAYS_MS);
    return () => clearTimeout(timer);
  }, [held, onGone]);
  useLayoutEffect(() => {
    // Whatever scrolls, it stays with its field.
    const follow = () => setPlace(placeBelow(field));
    const on = { capture: true, passive: true } as const;
    addEventListener('scroll', follow, on);
    addEventListener('resize', follow, on);
    return () => {
      removeEventListener('scroll', follow, on);
      removeEventListener('resize', follow, on);
    };
  }, [field]);
  return (
    <Place
      style={place}
      onPointerEnter={() => setHeld(true)}
      onPointerLeave={() => setHeld(false)}
      onFocus={() => setHeld(true)}
      onBlur={() => setHeld(false)}
    >
      {children}
    </Place>
  );
}

/** Below a field, or above where there is no room; in the corner for a field that is gone. */
function placeBelow(field: Element | null) {
  const box = field?.isConnected && field !== document.body ? field.getBoundingClientRect() : null;
  if (!box || box.width === 0) return { top: 56, right: 16 };
  const left = Math.max(GAP, Math.min(box.left, innerWidth - WIDTH - GAP));
  // A notice of three lines is about 90 pixels high.
  if (box.bottom + 90 > innerHeight) return { bottom: innerHeight - box.top + GAP, left };
  return { top: Math.max(GAP, box.bottom + GAP), left };
}
