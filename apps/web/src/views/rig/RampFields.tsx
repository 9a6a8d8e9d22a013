import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Acceleration } from '@nimble-lever/core/devices';
import { NumberField } from '../../pieces/NumberField.tsx';
import { WORDS } from './words.ts';

/** A ramp by three numbers: how fast it can get, where it begins, where it is full. */
interface Props {
  readonly ramp: Acceleration;
  /** Of the two speeds. */
  readonly unit: string;
  /** The least and the most a full ramp can be. */
  readonly least: number;
  readonly most: number;
  /** Whether the factor is a whole number. */
  readonly whole: boolean;
  /** The highest speed there is. */
  readonly farthest: number;
  readonly onChange: (ramp: Acceleration) => void;
}

/** Where a curve begins to rise, where it is full, and how high that is. */
export function RampFields({ ramp, unit, least, most, whole, farthest, onChange }: Props) {
  // Where it begins stays below where it is full: each bounds the other.
  const fields = [
    { part: 'from', label: WORDS.fromSpeed, unit, min: 0, max: ramp.to - 1, whole: true },
    { part: 'to', label: WORDS.toSpeed, unit, min: ramp.from + 1, max: farthest, whole: true },
    { part: 'max', label: WORDS.most, unit: WORDS.factor, min: least, max: most, whole },
  ] as const;
  return (
    <Box sx={{ display: 'flex', gap: 2 }}>
      {fields.map(({ part, ...field }) => (
        <div key={part}>
          <Typography variant="caption" component="div" color="text.secondary" aria-hidden sx={{ mb: 0.5 }}>
            {field.label}
          </Typography>
          <NumberField
            {...field}
            value={ramp[part]}
            onChange={(value) => onChange({ ...ramp, [part]: value })}
          />
        </div>
      ))}
    </Box>
  );
}
