import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import { MOST_SPEEDS } from '@nimble-lever/core/devices';
import { Plus, X } from 'lucide-react';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { NumberField } from '../../pieces/NumberField.tsx';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

/** The ends of the scale; it is drawn by doublings, as a hand feels them. */
const LEAST = 0.125;
/** Times the plain speed. */
const MOST = 8;

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
  '& .speed': {
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

/** Speeds by equal ratios along the slider: from 1 to 2 is as far as from 2 to 4, as it is felt. */
const partOf = (speed: number) => Math.log(speed / LEAST) / Math.log(MOST / LEAST);
// To twentieths: finer differences cannot be felt.
const speedAt = (part: number) => {
  const speed = LEAST * (MOST / LEAST) ** Math.max(0, Math.min(1, part));
  return Math.round(speed * 20) / 20 || LEAST;
};

/** The pointer speeds that controls step through. */
interface Props {
  /** Times the plain speed, in the order they are stepped through. */
  readonly speeds: readonly number[];
  readonly onChange: (speeds: readonly number[]) => void;
  /** Null where nothing differs from how it came. */
  readonly onReset: (() => void) | null;
}

/** Pointer speeds on their scale: clicked to add, dragged to move, by keys too; in the order in which they are gone through. */
export function SpeedsCard({ speeds, onChange, onReset }: Props) {
  const scale = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<{ readonly at: number; readonly speed: number } | null>(null);
  // Drawn where it is dragged, and edited once when it is let go.
  const shown = dragged ? speeds.with(dragged.at, dragged.speed) : speeds;
  const speedUnder = ({ clientX }: PointerEvent) => {
    const box = scale.current?.getBoundingClientRect();
    return box ? speedAt((clientX - box.left) / box.width) : 1;
  };
  const [refused, setRefused] = useState<string | null>(null);
  // Two that are the same would be a step at which nothing changes.
  const set = (next: readonly number[]) => {
    const twice = next.find((speed, i) => next.indexOf(speed) !== i);
    setRefused(twice === undefined ? null : WORDS.speedTwice(String(twice)));
    if (twice === undefined) onChange(next);
  };
  const add = (speed: number) => {
    if (speeds.length >= MOST_SPEEDS) return;
    // Beside one that is there already, the next free one.
    let free = speed;
    while (speeds.includes(free)) free = Math.round((free + 0.25) * 100) / 100;
    set([...speeds, free]);
  };
  const onKey = (event: KeyboardEvent, at: number) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    const speed = speeds[at];
    if (event.key === 'Delete') onChange(speeds.toSpliced(at, 1));
    else if (by !== undefined && speed !== undefined)
      // A fiftieth of the scale a key: about a tenth faster or slower.
      set(speeds.with(at, speedAt(partOf(speed) + by * 0.02)));
    else return;
    event.preventDefault();
  };
  return (
    <TuneCard title={WORDS.speeds} onReset={onReset}>
      <p>{speeds.length === 0 ? WORDS.noPointer : WORDS.speedsHint}</p>
      <Scale
        ref={scale}
        onPointerDown={(event) => {
          // A press on the scale adds; on a speed it begins to drag.
          if (event.target === event.currentTarget || !(event.target instanceof HTMLButtonElement)) {
            add(speedUnder(event));
          }
        }}
      >
        <span className="rail" />
        {[0.125, 0.25, 0.5, 1, 2, 4, 8].map((mark) => (
          <span key={mark} className="tick" style={{ left: `${partOf(mark) * 100}%` }}>
            {mark}
          </span>
        ))}
        {shown.map((speed, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a speed is its place in the round.
            key={i}
            type="button"
            role="slider"
            className="speed"
            aria-label={WORDS.speedAt(i + 1)}
            aria-valuemin={LEAST}
            aria-valuemax={MOST}
            aria-valuenow={speed}
            title={WORDS.times(String(speed))}
            style={{ left: `${partOf(Math.max(LEAST, Math.min(MOST, speed))) * 100}%` }}
            onKeyDown={(event) => onKey(event, i)}
            onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={(event) => {
              if (event.currentTarget.hasPointerCapture(event.pointerId)) {
                setDragged({ at: i, speed: speedUnder(event) });
              }
            }}
            onPointerUp={() => {
              if (dragged) set(shown);
              setDragged(null);
            }}
          >
            {i + 1}
          </button>
        ))}
      </Scale>
      <div className="line">
        {shown.map((speed, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a speed is its place in the round.
          <div key={i} style={{ display: 'inline-flex', alignItems: 'center' }}>
            <NumberField
              label={WORDS.speedAt(i + 1)}
              value={speed}
              min={0.05}
              max={20}
              whole={false}
              onChange={(next) => set(speeds.with(i, next))}
            />
            <IconButton
              aria-label={WORDS.removeSpeed(i + 1)}
              sx={{ width: 24, height: 24 }}
              onClick={() => onChange(speeds.toSpliced(i, 1))}
            >
              <X size={13} aria-hidden />
            </IconButton>
          </div>
        ))}
        {speeds.length < MOST_SPEEDS && (
          <IconButton aria-label={WORDS.addSpeed} sx={{ width: 28, height: 28 }} onClick={() => add(1)}>
            <Plus size={15} aria-hidden />
          </IconButton>
        )}
      </div>
      {refused && (
        <p role="alert" className="refused">
          {refused}
        </p>
      )}
    </TuneCard>
  );
}
