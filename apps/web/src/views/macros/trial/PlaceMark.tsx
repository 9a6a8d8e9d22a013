import { styled } from '@mui/material/styles';
import type { Place } from '@nimble-lever/core/setup';
import { useLayoutEffect, useRef, useState } from 'react';
import { useAppSelector } from '../../../app/store.ts';
import { selectDesk } from '../../../practice/deskSlice.ts';

const Mark = styled('span')(({ theme: { vars } }) => ({
  position: 'absolute',
  zIndex: 80,
  width: 22,
  height: 22,
  margin: '-11px 0 0 -11px',
  borderRadius: 11,
  border: `2px solid ${vars?.palette.tokens.brick}`,
  pointerEvents: 'none',
  '&::before, &::after': {
    content: '""',
    position: 'absolute',
    backgroundColor: vars?.palette.tokens.brick,
  },
  '&::before': { left: 8, top: -5, width: 2, height: 28 },
  '&::after': { top: 8, left: -5, height: 2, width: 28 },
}));

/** Where a click goes, marked in the window in front; nothing for a place that depends on the pointer. */
export function PlaceMark({ at }: { readonly at: Place | null }) {
  const { active, order, places } = useAppSelector(selectDesk);
  const mark = useRef<HTMLSpanElement>(null);
  const [spot, setSpot] = useState<{ readonly left: number; readonly top: number } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: measured anew when windows move.
  useLayoutEffect(() => {
    const surface = mark.current?.parentElement;
    const window = surface?.querySelector<HTMLElement>(`[data-program="${CSS.escape(active ?? '')}"]`);
    if (!at || at.from === 'pointer' || !surface) return setSpot(null);
    if (at.from === 'screen') return setSpot({ left: at.x, top: at.y });
    if (!window) return setSpot(null);
    const { offsetLeft, offsetTop, offsetWidth, offsetHeight } = window;
    setSpot({
      left: offsetLeft + (at.corner.endsWith('left') ? 0 : offsetWidth) + at.x,
      top: offsetTop + (at.corner.startsWith('top') ? 0 : offsetHeight) + at.y,
    });
  }, [at, active, order, places]);
  return (
    <Mark
      ref={mark}
      aria-hidden
      data-place-mark=""
      hidden={spot === null}
      style={spot ?? { display: 'none' }}
    />
  );
}
