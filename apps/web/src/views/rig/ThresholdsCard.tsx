import type { DeviceSettings } from '@nimble-lever/core/devices';
import { NumberField } from '../../pieces/NumberField.tsx';
import { TryPad } from './TryPad.tsx';
import { TuneCard } from './TuneCard.tsx';
import { WORDS } from './words.ts';

/** Each threshold with its bounds, the same as the set-up's schema has. */
const FIELDS = [
  ['holdMs', 20, 5000],
  ['doubleMs', 20, 5000],
  ['nudgeDistance', 2, 500],
  ['guardMs', 20, 5000],
  ['confirmMs', 20, 5000],
] as const;

/** When a press becomes a hold, a double press, a nudge. */
interface Props {
  readonly settings: DeviceSettings;
  readonly onChange: (settings: Partial<DeviceSettings>) => void;
  /** Null where nothing differs from how it came. */
  readonly onReset: (() => void) | null;
}

/** When a press is a hold, a double press, a nudge; and a pad to try one's own hand on. */
export function ThresholdsCard({ settings, onChange, onReset }: Props) {
  return (
    <TuneCard title={WORDS.thresholds} onReset={onReset}>
      {FIELDS.map(([field, min, max]) => (
        <div key={field} className="line">
          <span style={{ minWidth: 150 }}>{WORDS[field]}</span>
          <NumberField
            label={WORDS[field]}
            value={settings[field]}
            min={min}
            max={max}
            unit={field === 'nudgeDistance' ? WORDS.px : WORDS.ms}
            onChange={(value) => onChange({ [field]: value })}
          />
        </div>
      ))}
      <TryPad settings={settings} onChange={onChange} />
    </TuneCard>
  );
}
