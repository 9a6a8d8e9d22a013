import OutlinedInput from '@mui/material/OutlinedInput';

interface Props {
  readonly value: string;
  readonly label: string;
  readonly onChange: (value: string) => void;
  /** The first of what was found is asked for. */
  readonly onEnter: () => void;
}

/** Narrows a list down as one types: Enter goes to the first that is left, Escape shows all again. */
export function ListSearch({ value, label, onChange, onEnter }: Props) {
  return (
    <OutlinedInput
      fullWidth
      value={value}
      placeholder={label}
      onChange={({ target }) => onChange(target.value)}
      onKeyDown={({ key }) => {
        if (key === 'Escape') onChange('');
        if (key === 'Enter') onEnter();
      }}
      inputProps={{ 'aria-label': label, type: 'search', spellCheck: false }}
    />
  );
}
