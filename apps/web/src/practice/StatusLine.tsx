import { styled } from '@mui/material/styles';

const Line = styled('p')(({ theme: { vars } }) => ({
  flex: 'none',
  margin: 0,
  display: 'flex',
  flexWrap: 'wrap',
  gap: '2px 22px',
  padding: '7px 14px 8px',
  fontSize: 12,
  color: vars?.palette.text.secondary,
  borderTop: `1px solid ${vars?.palette.divider}`,
  '& b': { fontWeight: 650, color: vars?.palette.text.primary },
  '& b.command': { color: vars?.palette.tokens.accent },
}));

/** What a program says of itself, so that a person sees at once what a press did. */
interface Props {
  readonly facts: readonly (readonly [name: string, value: string])[];
  readonly lastCommand: string | null;
  readonly lastName: string;
}

/** What a practice program shows of its state, and the command it ran last. */
export function StatusLine({ facts, lastCommand, lastName }: Props) {
  return (
    <Line>
      {facts.map(([name, value]) => (
        <span key={name}>
          {name} <b>{value}</b>
        </span>
      ))}
      {lastCommand && (
        <span>
          {lastName} <b className="command">{lastCommand}</b>
        </span>
      )}
    </Line>
  );
}
