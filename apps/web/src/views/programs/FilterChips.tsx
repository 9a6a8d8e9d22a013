import { styled } from '@mui/material/styles';

const Group = styled('fieldset')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 6,
  margin: 0,
  padding: 0,
  border: 0,
  minWidth: 0,
  overflow: 'hidden',
  '& button': {
    height: 24,
    padding: '0 8px',
    border: '1px solid transparent',
    borderRadius: 6,
    font: 'inherit',
    fontSize: 12,
    whiteSpace: 'nowrap',
    color: vars?.palette.text.secondary,
    backgroundColor: vars?.palette.tokens.background,
    cursor: 'pointer',
  },
  '& b': { marginLeft: 4, fontWeight: 650, color: vars?.palette.text.primary },
  '& .warns b': { color: vars?.palette.tokens.brick },
  '& button[aria-pressed=true]': {
    color: vars?.palette.text.primary,
    borderColor: vars?.palette.text.primary,
    backgroundColor: vars?.palette.tokens.sheet,
  },
}));

/** One way of showing a part of a list. */
export interface Chip<Filter extends string> {
  readonly filter: Filter;
  readonly name: string;
  readonly count: number;
  /** Where there is any, something is to be mended. */
  readonly warns?: boolean;
}

interface Props<Filter extends string> {
  readonly label: string;
  readonly chips: readonly Chip<Filter>[];
  readonly chosen: Filter;
  readonly onChoose: (filter: Filter) => void;
}

/** Which part of a list is shown, with how much each is. */
export function FilterChips<Filter extends string>({ label, chips, chosen, onChoose }: Props<Filter>) {
  return (
    <Group aria-label={label}>
      {chips.map(({ filter, name, count, warns }) => (
        <button
          key={filter}
          type="button"
          className={warns ? 'warns' : undefined}
          aria-pressed={filter === chosen}
          onClick={() => onChoose(filter)}
        >
          {name} <b>{count}</b>
        </button>
      ))}
    </Group>
  );
}
