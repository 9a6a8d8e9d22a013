import Button from '@mui/material/Button';
import type { LogEntry, Setup } from '@nimble-lever/core/setup';
import { entryParts } from '@nimble-lever/core/vault';
import { capital } from '@nimble-lever/core/words';
import { Eye, GitCompareArrows, History } from 'lucide-react';
import { momentWords } from '../../app/moment.ts';
import { addressIn } from '../../app/setup/shownSetUp.ts';
import { useAppSelector } from '../../app/store.ts';
import { wordsOf } from './rows.ts';
import { Side } from './Side.tsx';
import { useShown } from './useShown.ts';
import { WORDS } from './words.ts';

/** So many of the things an edit changed are told. */
const TOLD = 12;

interface Props {
  readonly setup: Setup;
  readonly chosen: LogEntry | null;
  /** How many edits came after it. */
  readonly later: number;
  readonly isBusy: boolean;
  /** Goes back to right after it, or to before it. */
  readonly onBack: (entry: LogEntry, to: 'after' | 'before') => void;
}

/** One edit of the history: what it was, who made it, and the ways back. */
export function ChosenEdit({ setup, chosen, later, isBusy, onBack }: Props) {
  const { compare } = useShown();
  const { id: setUp, asItWas } = useAppSelector((state) => state.setup);
  if (!chosen) {
    return (
      <Side aria-label={WORDS.chosen}>
        <p>{WORDS.noneChosen}</p>
      </Side>
    );
  }
  const entry = chosen;
  const told = entryParts(setup, entry).map(capital);
  return (
    <Side aria-label={WORDS.chosen}>
      <h2>{WORDS.chosen}</h2>
      <p className="what">{capital(wordsOf(setup, entry))}</p>
      <p>
        {momentWords(entry.at)}
        <br />
        {entry.author.name} · {WORDS.revision(entry.revision)}
      </p>
      {told.length > 1 && (
        <div>
          <h3>{WORDS.changed}</h3>
          <ul>
            {told.slice(0, TOLD).map((part) => (
              <li key={part}>{part}</li>
            ))}
            {told.length > TOLD && <li>{WORDS.moreParts(told.length - TOLD)}</li>}
          </ul>
        </div>
      )}
      <div className="acts">
        <Button
          startIcon={<GitCompareArrows size={15} aria-hidden />}
          onClick={() => compare(null, entry.revision)}
        >
          {WORDS.compareWithNow}
        </Button>
        <Button
          startIcon={<Eye size={15} aria-hidden />}
          href={addressIn(setUp ?? '', entry.revision, '/board')}
        >
          {WORDS.lookAfter}
        </Button>
        <Button
          startIcon={<Eye size={15} aria-hidden />}
          href={addressIn(setUp ?? '', entry.revision - 1, '/board')}
        >
          {WORDS.lookBefore}
        </Button>
      </div>
      {!asItWas && <p>{WORDS.goes(later)}</p>}
      <div className="acts" hidden={asItWas !== null}>
        {later > 0 && (
          <Button
            startIcon={<History size={15} aria-hidden />}
            disabled={isBusy}
            onClick={() => onBack(entry, 'after')}
          >
            {WORDS.afterIt}
          </Button>
        )}
        <Button
          startIcon={<History size={15} aria-hidden />}
          disabled={isBusy}
          onClick={() => onBack(entry, 'before')}
        >
          {WORDS.beforeIt}
        </Button>
      </div>
    </Side>
  );
}
