import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { type Control, type SpeedUp, turnFactor } from '@nimble-lever/core/devices';
import { tidy } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { CurveChart } from '../../pieces/CurveChart.tsx';
import { NumberField } from '../../pieces/NumberField.tsx';
import { RampFields } from './RampFields.tsx';
import { TuneCard } from './TuneCard.tsx';
import type { DeviceEdits } from './useDeviceEdits.ts';
import { WORDS } from './words.ts';

/** What is tried first for a dial: a quick twist counts five times a slow one. */
const FIRST: NonNullable<SpeedUp> = { max: 5, from: 120, to: 720 };

/** How far for one step of a dial, knob or ring, and how many more a fast turn sends. */
export function RotorCard({ control, edits }: { readonly control: Control; readonly edits: DeviceEdits }) {
  const { rotor } = control;
  const came = edits.came?.controls.find(({ id }) => id === control.id)?.rotor ?? null;
  const speedUp = rotor?.speedUp ?? null;
  const points = useMemo(() => {
    // To beyond where the speed is full, so that one sees that it stays there.
    const end = Math.max(900, (speedUp?.to ?? 0) * 1.3);
    return Array.from({ length: 121 }, (_, i) => {
      const x = (i / 120) * end;
      return { x, y: turnFactor(speedUp, x) };
    });
  }, [speedUp]);
  if (!rotor) return null;
  const set = (next: Control['rotor']) => edits.setControl({ ...control, rotor: next });
  // Nobody knows how a device came that was described by hand; then there is nothing to go back to.
  const isSame = !came || JSON.stringify(came) === JSON.stringify(rotor);
  return (
    <TuneCard title={WORDS.turning(control.name)} onReset={isSame ? null : () => set(came)}>
      <div className="line">
        {rotor.kind === 'continuous' ? (
          <>
            <span>{WORDS.stepEvery}</span>
            <NumberField
              label={WORDS.stepEvery}
              value={rotor.stepDegrees}
              min={0.5}
              max={360}
              whole={false}
              unit={WORDS.degrees}
              onChange={(stepDegrees) => set({ ...rotor, stepDegrees })}
            />
          </>
        ) : (
          WORDS.detents(tidy(rotor.detentDegrees))
        )}
      </div>
      <FormControlLabel
        label={WORDS.speedUp}
        slotProps={{ typography: { variant: 'body2' } }}
        control={
          <Checkbox
            size="small"
            checked={speedUp !== null}
            onChange={({ target }) => set({ ...rotor, speedUp: target.checked ? FIRST : null })}
          />
        }
      />
      {speedUp && (
        <RampFields
          ramp={speedUp}
          unit={WORDS.perSecond}
          least={2}
          most={50}
          whole
          farthest={10_000}
          onChange={(next) => set({ ...rotor, speedUp: next })}
        />
      )}
      <CurveChart
        label={WORDS.curveOf(control.name)}
        kind="line"
        points={points}
        xTitle={WORDS.turnSpeed}
        yTitle={WORDS.stepsEach}
      />
    </TuneCard>
  );
}
