import { MOST_SPEEDS } from '@nimble-lever/core/devices';
import { useState } from 'react';
import { MarkScale } from '../../pieces/MarkScale.tsx';
import { MarkFields } from './MarkFields.tsx';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

/** The ends of the scale; it is drawn by doublings, as a hand feels them. */
const LEAST = 0.125;
/** Times the plain speed. */
const MOST = 8;

/** Speeds by equal ratios along the scale: from 1 to 2 is as far as from 2 to 4, as it is felt. */
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

/** Pointer speeds on their scale and as numbers, in the order in which they are gone through. */
export function SpeedsCard({ speeds, onChange, onReset }: Props) {
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
  const move = (at: number, speed: number) => set(speeds.with(at, speed));
  const remove = (at: number) => set(speeds.toSpliced(at, 1));
  const nameOf = (at: number) => WORDS.speedAt(at + 1);
  return (
    <TuneCard title={WORDS.speeds} onReset={onReset}>
      <p>{speeds.length === 0 ? WORDS.noPointer : WORDS.speedsHint}</p>
      <MarkScale
        marks={speeds}
        least={LEAST}
        most={MOST}
        ticks={[0.125, 0.25, 0.5, 1, 2, 4, 8]}
        partOf={partOf}
        valueAt={speedAt}
        // A fiftieth of the scale a key: about a tenth faster or slower.
        step={(speed, by) => speedAt(partOf(speed) + by * 0.02)}
        nameOf={nameOf}
        wordsOf={(speed) => WORDS.times(String(speed))}
        onAdd={add}
        onMove={move}
        onRemove={remove}
      />
      <MarkFields
        marks={speeds}
        min={0.05}
        max={20}
        whole={false}
        nameOf={nameOf}
        removeNameOf={(at) => WORDS.removeSpeed(at + 1)}
        addName={WORDS.addSpeed}
        onMove={move}
        onRemove={remove}
        onAdd={speeds.length < MOST_SPEEDS ? () => add(1) : null}
      />
      {refused && (
        <p role="alert" className="refused">
          {refused}
        </p>
      )}
    </TuneCard>
  );
}
