import InputAdornment from '@mui/material/InputAdornment';
import OutlinedInput from '@mui/material/OutlinedInput';
import { styled } from '@mui/material/styles';
import { useState } from 'react';

const WORDS = {
  wholeFrom: (range: string) => `A whole number from ${range}`,
  from: (range: string) => `A number from ${range}`,
} as const;

/** What is wrong stands under the field, over what is there. */
const Box = styled('span')(({ theme: { vars } }) => ({
  position: 'relative',
  display: 'inline-flex',
  flex: 'none',
  '& > [role=alert]': {
    position: 'absolute',
    zIndex: 3,
    top: 'calc(100% + 4px)',
    left: 0,
    padding: '2px 8px',
    borderRadius: 6,
    fontSize: 12,
    whiteSpace: 'nowrap',
    color: vars?.palette.tokens.brick,
    border: `1px solid ${vars?.palette.tokens.brick}`,
    backgroundColor: vars?.palette.tokens.sheet,
  },
}));

/** A number within its bounds, which the field itself keeps: a wrong one is told and goes back when it is left. */
export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  /** Both ends can be reached. */
  readonly min: number;
  readonly max: number;
  /** Whether only whole numbers are taken. */
  readonly whole?: boolean;
  /** Behind the number, and read out with it. */
  readonly unit?: string;
  readonly disabled?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number with its unit; what is out of range or no number is not taken, and shown as wrong until it is left. */
export function NumberField({
  label,
  value,
  min,
  max,
  whole = true,
  unit,
  disabled = false,
  onChange,
}: NumberFieldProps) {
  const [draft, setDraft] = useState<string | null>(null);
  // A comma is read as a point, as most of Europe writes it.
  const read = draft === null ? value : Number(draft.replace(',', '.'));
  const fits = Number.isFinite(read) && read >= min && read <= max && (!whole || Number.isInteger(read));
  const take = () => {
    // What does not fit is dropped, and the value that holds is shown again.
    if (draft !== null && draft.trim() !== '' && fits && read !== value) onChange(read);
    setDraft(null);
  };
  const isWrong = !fits || draft?.trim() === '';
  const [least, most] = [min, max].map((end) => end.toLocaleString('en'));
  const range = `${least} to ${most}${unit ? ` ${unit}` : ''}`;
  return (
    <Box>
      <OutlinedInput
        value={draft ?? String(value)}
        error={isWrong}
        disabled={disabled}
        title={`${label}: ${range}`}
        endAdornment={unit && <InputAdornment position="end">{unit}</InputAdornment>}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={take}
        onKeyDown={({ key }) => {
          if (key === 'Enter') take();
          if (key === 'Escape') setDraft(null);
          const by = { ArrowUp: 1, ArrowDown: -1 }[key];
          if (by !== undefined && fits) {
            const step = whole ? 1 : 0.1;
            // Tenths do not add up in binary; thousandths are kept.
            const next = Math.round((read + by * step) * 1000) / 1000;
            if (next >= min && next <= max) onChange(next);
            setDraft(null);
          }
        }}
        inputProps={{ 'aria-label': unit ? `${label}, ${unit}` : label, inputMode: 'decimal', maxLength: 9 }}
        sx={{ width: unit ? 92 : 64, flex: 'none', '& input': { padding: '0 8px' } }}
      />
      {isWrong && <span role="alert">{whole ? WORDS.wholeFrom(range) : WORDS.from(range)}</span>}
    </Box>
  );
}
