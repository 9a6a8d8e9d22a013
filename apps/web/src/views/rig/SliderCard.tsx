import { type Control, placeForStep } from '@nimble-lever/core/devices';
import { useState } from 'react';
import { MarkScale } from '../../pieces/MarkScale.tsx';
import { MarkFields } from './MarkFields.tsx';
import { TuneCard } from './TuneCard.tsx';
import type { DeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

/** More steps than these cannot be told apart under a finger, nor on the picture. */
const MOST_STEPS = 20;
const clamp = (percent: number) => Math.max(1, Math.min(99, Math.round(percent)));
// Tenths of a percent are what a slider can be set to by hand.
const percentOf = (place: number) => Math.round(place * 1000) / 10;

/** The ways a control slides: its one, and the one across. */
export const SLIDES = ['slider', 'across'] as const;

interface Props {
  readonly control: Control;
  readonly way: (typeof SLIDES)[number];
  readonly edits: DeviceEdits;
}

/** Where a slider steps, on a picture of its way. */
export function SliderCard({ control, way, edits }: Props) {
  const [refused, setRefused] = useState<string | null>(null);
  const slider = control[way];
  if (!slider) return null;
  const came = edits.came?.controls.find(({ id }) => id === control.id)?.[way] ?? null;
  const { thresholds } = slider;
  const steps = thresholds.map(percentOf);
  // Places are kept as they are but for the one that is moved.
  const set = (next: readonly number[]) => {
    const sorted = next.toSorted((a, b) => a - b);
    const twice = sorted.find((place, i) => i > 0 && place === sorted[i - 1]);
    setRefused(twice === undefined ? null : WORDS.stepTwice(percentOf(twice)));
    if (twice === undefined) edits.setControl({ ...control, [way]: { thresholds: sorted } });
  };
  const add = (place: number | null) => {
    if (place !== null && thresholds.length < MOST_STEPS) set([...thresholds, place]);
  };
  const move = (at: number, percent: number) => set(thresholds.with(at, percent / 100));
  const remove = (at: number) => set(thresholds.toSpliced(at, 1));
  const nameOf = (at: number) => WORDS.stepAt(at + 1);
  const isSame = !came || JSON.stringify(came) === JSON.stringify(slider);
  return (
    <TuneCard
      title={way === 'across' ? WORDS.acrossSteps(control.name) : WORDS.sliderSteps(control.name)}
      onReset={isSame ? null : () => edits.setControl({ ...control, [way]: came })}
    >
      <p>{steps.length === 0 ? WORDS.noSteps : WORDS.stepsHint}</p>
      <MarkScale
        marks={steps}
        least={0}
        most={100}
        ticks={[0, 25, 50, 75, 100]}
        partOf={(percent) => percent / 100}
        valueAt={(part) => clamp(part * 100)}
        step={(percent, by) => clamp(percent + by)}
        nameOf={nameOf}
        wordsOf={WORDS.percentOf}
        onAdd={(percent) => add(percent / 100)}
        onMove={move}
        onRemove={remove}
      />
      <MarkFields
        marks={steps}
        min={1}
        max={99}
        whole={false}
        unit={WORDS.percent}
        nameOf={nameOf}
        removeNameOf={(at) => WORDS.removeStep(at + 1)}
        addName={WORDS.addStep}
        onMove={move}
        onRemove={remove}
        onAdd={steps.length < MOST_STEPS ? () => add(placeForStep(thresholds)) : null}
      />
      {refused && (
        <p role="alert" className="refused">
          {refused}
        </p>
      )}
    </TuneCard>
  );
}
