import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { type Acceleration, pointerGain } from '@nimble-lever/core/devices';
import { type ReactNode, useMemo } from 'react';
import { CurveChart } from '../../pieces/CurveChart.tsx';
import { RampFields } from './RampFields.tsx';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

/** What is tried first: noticeable, and not yet hard to aim with. */
const FIRST: Acceleration = { max: 2, from: 60, to: 400 };

/** The pointer's acceleration, and how it was when the device came. */
interface Props {
  /** Null for a pointer that goes as far as the hand. */
  readonly acceleration: Acceleration | null;
  readonly onChange: (acceleration: Acceleration | null) => void;
  /** Null where nothing differs from how it came. */
  readonly onReset: (() => void) | null;
  /** Where it can be felt. */
  readonly children: ReactNode;
}

/** How much further a faster hand moves the pointer, with its curve. */
export function AccelerationCard({ acceleration, onChange, onReset, children }: Props) {
  const points = useMemo(() => {
    // Drawn a little beyond where the ramp is full, so that the level part is seen.
    const end = Math.max(600, (acceleration?.to ?? 0) * 1.4);
    return Array.from({ length: 61 }, (_, i) => {
      const x = (i / 60) * end;
      return { x, y: pointerGain(1, acceleration, x) };
    });
  }, [acceleration]);
  return (
    <TuneCard title={WORDS.acceleration} onReset={onReset}>
      <FormControlLabel
        label={WORDS.accelerated}
        slotProps={{ typography: { variant: 'body2' } }}
        control={
          <Checkbox
            size="small"
            checked={acceleration !== null}
            onChange={({ target }) => onChange(target.checked ? FIRST : null)}
          />
        }
      />
      {acceleration && (
        <RampFields
          ramp={acceleration}
          unit={WORDS.mmPerSecond}
          least={1.1}
          most={10}
          whole={false}
          farthest={5000}
          onChange={onChange}
        />
      )}
      <CurveChart
        label={WORDS.curveOf(WORDS.acceleration)}
        kind="line"
        points={points}
        xTitle={WORDS.handSpeed}
        yTitle={WORDS.pointerFactor}
      />
      {children}
    </TuneCard>
  );
}
