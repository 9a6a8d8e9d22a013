import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type LogEntry, partsOf, type Setup } from '@nimble-lever/core/setup';
import { capital, editWords } from '@nimble-lever/core/words';
import { History } from 'lucide-react';
import { entryWords, momentOf } from './rows.ts';
import { WORDS } from './words.ts';

/** So many of the things an edit changed are told. */
const TOLD = 12;

const Box = styled('aside')(({ theme: { vars } }) => ({
  width: 336,
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: 20,
  overflow: 'auto',
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2, & h3': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, lineHeight: 1.5, color: vars?.palette.text.secondary },
  '& .what': { fontSize: 15, lineHeight: 1.4, fontWeight: 650, color: vars?.palette.text.primary },
  '& ul': { margin: '4px 0 0', padding: '0 0 0 18px', fontSize: 12, lineHeight: 1.6 },
  '& .acts': { display: 'flex', flexDirection: 'column', gap: 8, alignItems: 'flex-start' },
}));

interface Props {
  readonly setup: Setup;
  readonly chosen: LogEntry | null;
  /** How many edits came after it. */
  readonly later: number;
  /** Goes back to right after it, or to before it. */
  readonly onBack: (entry: LogEntry, to: 'after' | 'before') => void;
}

/** One edit of the history: what it was, who made it, and the ways back. */
export function ChosenEdit({ setup, chosen, later, onBack }: Props) {
  if (!chosen) {
    return (
      <Box aria-label={WORDS.chosen}>
        <p>{WORDS.noneChosen}</p>
      </Box>
    );
  }
  const entry = chosen;
  const parts = entry.edit ? partsOf(entry.edit).map((part) => capital(editWords(setup, part))) : [];
  const told = [...new Set(parts)];
  return (
    <Box aria-label={WORDS.chosen}>
      <h2>{WORDS.chosen}</h2>
      <p className="what">{capital(entryWords(setup, entry))}</p>
      <p>
        {momentOf(entry.at)}
        <br />
        {entry.author.name} · {WORDS.revision(entry.revision)}
      </p>
      {told.length > 1 && (
        <div>
          <h3>{WORDS.parts}</h3>
          <ul>
            {told.slice(0, TOLD).map((part) => (
              <li key={part}>{part}</li>
            ))}
            {told.length > TOLD && <li>{WORDS.moreParts(told.length - TOLD)}</li>}
          </ul>
        </div>
      )}
      <p>{WORDS.goes(later)}</p>
      <div className="acts">
        {later > 0 && (
          <Button startIcon={<History size={15} aria-hidden />} onClick={() => onBack(entry, 'after')}>
            {WORDS.afterIt}
          </Button>
        )}
        <Button startIcon={<History size={15} aria-hidden />} onClick={() => onBack(entry, 'before')}>
          {WORDS.beforeIt}
        </Button>
      </div>
    </Box>
  );
}
