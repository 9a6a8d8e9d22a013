import { styled } from '@mui/material/styles';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { WORDS } from '../words.ts';
import { DOCK } from './dockHeight.ts';

const Edge = styled('div')(({ theme: { vars } }) => ({
  position: 'absolute',
  zIndex: 4,
  top: 0,
  left: 0,
  right: 0,
  height: 9,
  cursor: 'row-resize',
  touchAction: 'none',
  '&:hover, &[data-dragged=true]': { borderTop: `3px solid ${vars?.palette.tokens.accent}` },
  '&:focus-visible': { outlineOffset: -3 },
}));

/** Pixels an arrow key moves the edge. */
const KEY_STEP = 16;

interface Props {
  /** Pixels. */
  readonly height: number;
  readonly onHeight: (height: number) => void;
}

/** The dock's upper edge: dragged, or moved by the arrow keys (WAI-ARIA Authoring Practices, "Window splitter"). */
export function DockEdge({ height, onHeight }: Props) {
  const from = useRef<{ readonly y: number; readonly height: number } | null>(null);
  const [dragged, setDragged] = useState(false);
  const set = (next: number) => onHeight(Math.round(Math.max(DOCK.least, Math.min(DOCK.most, next))));
  const onKeyDown = (event: KeyboardEvent) => {
    const next = {
      ArrowUp: height + KEY_STEP,
      ArrowDown: height - KEY_STEP,
      Home: DOCK.least,
      End: DOCK.most,
    }[event.key];
    if (next === undefined) return;
    event.preventDefault();
    set(next);
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { y: event.clientY, height };
    setDragged(true);
  };
  const end = () => {
    from.current = null;
    setDragged(false);
  };
  return (
    <Edge
      role="separator"
      aria-orientation="horizontal"
      aria-label={WORDS.dockEdge}
      aria-valuenow={height}
      aria-valuemin={DOCK.least}
      aria-valuemax={DOCK.most}
      tabIndex={0}
      data-dragged={dragged}
      onKeyDown={onKeyDown}
      onPointerDown={onPointerDown}
      onPointerMove={({ clientY }) => {
        if (from.current) set(from.current.height + from.current.y - clientY);
      }}
      onPointerUp={end}
      onPointerCancel={end}
      onDoubleClick={() => onHeight(DOCK.usual)}
    />
  );
}
