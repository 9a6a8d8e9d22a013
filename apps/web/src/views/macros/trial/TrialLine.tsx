import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import { capital, durationWords, holdWords, sentOf } from '@nimble-lever/core/words';
import { selectLayout } from '../../../app/keyboard/keyboardSlice.ts';
import { useAppSelector } from '../../../app/store.ts';
import { Keycap } from '../../../pieces/Keycap.tsx';
import { isTrying } from '../../../practice/startTrial.ts';
import type { ScoreRow } from '../rows.ts';
import { WORDS } from '../words.ts';
import type { ShownTrial } from './useTrial.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  gap: 4,
  padding: '8px 14px',
  fontSize: 12,
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  color: vars?.palette.text.secondary,
  '& b': { fontWeight: 650, color: vars?.palette.text.primary },
  '& b.late': { color: vars?.palette.tokens.brick },
  '& .sent': { display: 'flex', flexWrap: 'wrap', gap: '3px 6px', alignItems: 'center' },
}));

/** So many of the things sent are told, the newest last. */
const TOLD = 6;

interface Props {
  readonly setup: Setup;
  readonly trial: ShownTrial;
  readonly rows: readonly ScoreRow[];
}

/** How far a trial is, what it holds and what it sent. */
export function TrialLine({ setup, trial: { state }, rows }: Props) {
  const layout = useAppSelector(selectLayout);
  const { status, last, next, held, sent } = state;
  const number = (id: string | null) => rows.find(({ step }) => step.id === id)?.number;
  const at = number(isTrying(state) ? (next ?? last) : last);
  const told = sentOf(sent, layout);
  const newest = told.slice(-TOLD);
  return (
    <Box role="status" aria-label={WORDS.trial}>
      <span>
        <b className={status}>{WORDS.statuses[status]}</b>
        {status === 'ended'
          ? ` · ${WORDS.doneIn(rows.length, durationWords((sent.at(-1)?.t ?? 0) - (sent[0]?.t ?? 0)))}`
          : at !== undefined && ` · ${at} / ${rows.filter(({ depth }) => depth === 0).length}`}
      </span>
      <span>
        {held.length === 0 ? (
          WORDS.nothingHeld
        ) : (
          <>
            {WORDS.held}: <Keycap shortcut={capital(holdWords(setup, held))} />
          </>
        )}
      </span>
      {newest.length > 0 && (
        <span className="sent">
          {WORDS.sent}:
          {newest.map(({ text, count }, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: told in the order in which it was sent.
            <span key={i}>
              <Keycap shortcut={text} />
              {count > 1 && ` ×${count}`}
            </span>
          ))}
          {told.length > TOLD && WORDS.sentMore(told.length - TOLD)}
        </span>
      )}
    </Box>
  );
}
