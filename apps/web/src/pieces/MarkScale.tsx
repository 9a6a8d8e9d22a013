import { styled } from '@mui/material/styles';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';

const Scale = styled('div')(({ theme: { vars } }) => ({
  position: 'relative',
  height: 44,
  margin: '2px 12px 0',
  cursor: 'copy',
  touchAction: 'none',
  '& .rail': {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 14,
    height: 4,
    borderRadius: 2,
    backgroundColor: vars?.palette.divider,
  },
  '& .tick': {
    position: 'absolute',
    top: 28,
    transform: 'translateX(-50%)',
    fontSize: 11,
    color: vars?.palette.text.secondary,
  },
  '& .mark': {
    position: 'absolute',
    top: 4,
    width: 24,
    height: 24,
    marginLeft: -12,
    padding: 0,
    borderRadius: 12,
    border: `2px solid ${vars?.palette.tokens.sheet}`,
    font: 'inherit',
    fontSize: 11,
    fontWeight: 650,
    color: vars?.palette.tokens.onAccent,
    backgroundColor: vars?.palette.tokens.accent,
    cursor: 'grab',
  },
}));

/** A scale: where its values lie, and what its marks are called. */
interface Props {
  readonly marks: readonly number[];
  readonly least: number;
  readonly most: number;
  /** Values that are written below. */
  readonly ticks: readonly number[];
  /** How far along the scale a value lies, 0 to 1. */
  readonly partOf: (value: number) => number;
  /** The value at a part of the scale; parts outside 0 to 1 give its ends. */
  readonly valueAt: (part: number) => number;
  /** A value one press of an arrow key further, or back. */
  readonly step: (value: number, by: 1 | -1) => number;
  readonly nameOf: (index: number) => string;
  readonly wordsOf: (value: number) => string;
  readonly onAdd: (value: number) => void;
  readonly onMove: (index: number, value: number) => void;
  readonly onRemove: (index: number) => void;
}

/** Marks on a scale: clicked to add, dragged to move; by arrow keys and Delete too. */
export function MarkScale(props: Props) {
  const { marks, least, most, ticks, partOf, valueAt, step, nameOf, wordsOf, onAdd, onMove, onRemove } =
    props;
  const scale = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<{ readonly at: number; readonly value: number } | null>(null);
  // Drawn where it is dragged, and edited once when it is let go.
  const shown = dragged ? marks.with(dragged.at, dragged.value) : marks;
  const valueUnder = ({ clientX }: PointerEvent) => {
    const box = scale.current?.getBoundingClientRect();
    return valueAt(box ? (clientX - box.left) / box.width : 0);
  };
  const onKey = (event: KeyboardEvent, at: number) => {
    const by = ({ ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 } as const)[event.key];
    const value = marks[at];
    if (event.key === 'Delete') onRemove(at);
    else if (by !== undefined && value !== undefined) onMove(at, step(value, by));
    else return;
    event.preventDefault();
  };
  return (
    <Scale
      ref={scale}
      onPointerDown={(event) => {
        // A press on the scale adds; on a mark it begins to drag.
        if (!(event.target instanceof HTMLButtonElement)) onAdd(valueUnder(event));
      }}
    >
      <span className="rail" />
      {ticks.map((tick) => (
        <span key={tick} className="tick" style={{ left: `${partOf(tick) * 100}%` }}>
          {tick}
        </span>
      ))}
      {shown.map((value, i) => (
        <button
          // biome-ignore lint/suspicious/noArrayIndexKey: a mark is its place in the order.
          key={i}
          type="button"
          role="slider"
          className="mark"
          aria-label={nameOf(i)}
          aria-valuemin={least}
          aria-valuemax={most}
          aria-valuenow={value}
          title={wordsOf(value)}
          style={{ left: `${partOf(Math.max(least, Math.min(most, value))) * 100}%` }}
          onKeyDown={(event) => onKey(event, i)}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            if (event.currentTarget.hasPointerCapture(event.pointerId)) {
              setDragged({ at: i, value: valueUnder(event) });
            }
          }}
          onPointerUp={() => {
            if (dragged && dragged.value !== marks[dragged.at]) onMove(dragged.at, dragged.value);
            setDragged(null);
          }}
          onPointerCancel={() => setDragged(null)}
        >
          {i + 1}
        </button>
      ))}
    </Scale>
  );
}
