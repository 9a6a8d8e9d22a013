import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { WheelSettings } from '@nimble-lever/core/devices';
import { useMemo } from 'react';
import { ChoiceField } from '../../pieces/ChoiceField.tsx';
import { CurveChart } from '../../pieces/CurveChart.tsx';
import { NumberField } from '../../pieces/NumberField.tsx';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

/** What is drawn: this far turned, a notch every so many degrees. */
const DRAWN_DEGREES = 60;
/** Degrees of a notch: 24 notches a turn, common practice, no source. */
const NOTCH = 15;

/** What a notch of the wheel sends. */
interface Props {
  readonly wheel: WheelSettings;
  readonly onChange: (wheel: WheelSettings) => void;
  /** Null where nothing differs from how it came. */
  readonly onReset: (() => void) | null;
}

/** How wheels scroll by themselves: lines a notch, ratchet or free, direction; with what a turn away comes to. */
export function WheelCard({ wheel, onChange, onReset }: Props) {
  const points = useMemo(() => {
    // Whole notches: between two nothing is sent, which is what the steps show.
    const sign = wheel.reversed ? -1 : 1;
    return Array.from({ length: DRAWN_DEGREES + 1 }, (_, x) => ({
      x,
      y: sign * wheel.lines * Math.floor(x / NOTCH),
    }));
  }, [wheel]);
  return (
    <TuneCard title={WORDS.wheel} onReset={onReset}>
      <div className="line">
        <span>{WORDS.lines}</span>
        <NumberField
          label={WORDS.lines}
          value={wheel.lines}
          min={1}
          max={20}
          onChange={(lines) => onChange({ ...wheel, lines })}
        />
      </div>
      <div className="line">
        <span>{WORDS.wheelFeel}</span>
        <ChoiceField
          label={WORDS.wheelFeel}
          value={wheel.free ? 'free' : 'ratchet'}
          options={[
            ['ratchet', WORDS.ratchet],
            ['free', WORDS.free],
          ]}
          onChange={(feel) => onChange({ ...wheel, free: feel === 'free' })}
        />
      </div>
      <div className="line">
        <span>{WORDS.direction}</span>
        <ChoiceField
          label={WORDS.direction}
          value={wheel.reversed ? 'reversed' : 'normal'}
          options={[
            ['normal', WORDS.normal],
            ['reversed', WORDS.reversed],
          ]}
          onChange={(way) => onChange({ ...wheel, reversed: way === 'reversed' })}
        />
      </div>
      <div className="line">
        <span>{WORDS.coasts}</span>
        <NumberField
          label={WORDS.coasts}
          value={wheel.coastMs}
          min={0}
          max={5000}
          unit={WORDS.ms}
          onChange={(coastMs) => onChange({ ...wheel, coastMs })}
        />
      </div>
      <FormControlLabel
        label={WORDS.smooth}
        slotProps={{ typography: { variant: 'body2' } }}
        control={
          <Checkbox
            size="small"
            checked={wheel.smooth}
            onChange={({ target }) => onChange({ ...wheel, smooth: target.checked })}
          />
        }
      />
      <CurveChart
        label={WORDS.curveOf(WORDS.wheel)}
        kind="line"
        points={points}
        xTitle={WORDS.wheelTurned}
        yTitle={WORDS.linesScrolled}
      />
    </TuneCard>
  );
}
