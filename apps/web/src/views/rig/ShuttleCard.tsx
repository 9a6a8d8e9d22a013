import type { Control } from '@nimble-lever/core/devices';
import { useMemo } from 'react';
import { CurveChart } from '../../pieces/CurveChart.tsx';
import { NumberField } from '../../pieces/NumberField.tsx';
import { TuneCard } from './TuneCard.tsx';
import type { DeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

/** The rate of each position of a spring ring. */
export function ShuttleCard({ control, edits }: { readonly control: Control; readonly edits: DeviceEdits }) {
  const { spring } = control;
  const came = edits.came?.controls.find(({ id }) => id === control.id)?.spring ?? null;
  const rates = spring?.rates;
  // One bar a position: there is nothing between two positions of a ring.
  const points = useMemo(() => (rates ?? []).map((y, i) => ({ x: String(i + 1), y })), [rates]);
  if (!rates) return null;
  const set = (next: readonly number[]) => edits.setControl({ ...control, spring: { rates: [...next] } });
  const isSame = !came || JSON.stringify(came.rates) === JSON.stringify(rates);
  return (
    <TuneCard title={WORDS.shuttleRates(control.name)} onReset={isSame ? null : () => set(came.rates)}>
      <CurveChart
        label={WORDS.curveOf(control.name)}
        kind="bar"
        points={points}
        xTitle={WORDS.position}
        yTitle={WORDS.rate}
      />
      <div className="line" style={{ gap: 4 }}>
        {rates.map((rate, i) => (
          <NumberField
            // biome-ignore lint/suspicious/noArrayIndexKey: a rate is that of its position.
            key={i}
            label={WORDS.rateAt(i + 1)}
            value={rate}
            min={0.1}
            max={500}
            whole={false}
            onChange={(next) => set(rates.with(i, next))}
          />
        ))}
      </div>
    </TuneCard>
  );
}
