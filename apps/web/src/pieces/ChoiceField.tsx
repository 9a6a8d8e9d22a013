import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';

/** One of a few values, each with its name. */
interface Props<Value extends string> {
  /** Read out; the field itself shows only the value. */
  readonly label: string;
  readonly value: Value;
  readonly options: readonly (readonly [value: Value, name: string])[];
  readonly disabled?: boolean;
  readonly onChange: (value: Value) => void;
}

/** One of a few choices, in a small field. */
export function ChoiceField<Value extends string>({
  label,
  value,
  options,
  disabled,
  onChange,
}: Props<Value>) {
  // A value that is no longer offered shows an empty field, and is kept until another is chosen.
  const known = options.some(([own]) => own === value);
  return (
    <Select
      size="small"
      displayEmpty
      value={known ? value : ''}
      disabled={disabled}
      onChange={({ target }) => onChange(target.value as Value)}
      inputProps={{ 'aria-label': label }}
      MenuProps={{ slotProps: { paper: { sx: { maxHeight: 320 } } } }}
      sx={{ minHeight: 28, height: 28, fontSize: 12, maxWidth: 190 }}
    >
      {options.map(([own, name]) => (
        <MenuItem key={own} value={own}>
          {name}
        </MenuItem>
      ))}
    </Select>
  );
}
