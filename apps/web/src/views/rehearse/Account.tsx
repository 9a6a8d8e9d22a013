import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { accountOf, cameUpOf, sentOf } from '@nimble-lever/core/words';
import { memo, useMemo } from 'react';
import { type Happening, happeningsCleared } from '../../app/engine/engineSlice.ts';
import { feed } from '../../app/engine/feed.ts';
import { isWorthTelling } from '../../app/engine/worthTelling.ts';
import { selectLayout } from '../../app/keyboard/keyboardSlice.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { Keycap } from '../../pieces/Keycap.tsx';
import { accountItems } from './accountItems.ts';
import { HeldNow } from './HeldNow.tsx';
import { useCalm } from './useCalm.ts';
import { WORDS } from './words.ts';

const Box = styled('aside')(({ theme: { vars } }) => ({
  width: 336,
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  minHeight: 0,
  borderLeft: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& > header': {
    flex: 'none',
    display: 'flex',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    padding: '12px 16px 10px',
    borderBottom: `1px solid ${vars?.palette.divider}`,
  },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& > header span': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .list': { flex: 1, minHeight: 0, overflow: 'auto', margin: 0, padding: 0, listStyle: 'none' },
  '& .empty': { padding: '14px 16px', margin: 0, color: vars?.palette.text.secondary },
  '& footer': {
    flex: 'none',
    display: 'flex',
    gap: 8,
    padding: '10px 16px',
    borderTop: `1px solid ${vars?.palette.divider}`,
  },
}));

const Entry = styled('li')(({ theme: { vars, typography } }) => ({
  display: 'grid',
  gridTemplateColumns: '64px 1fr',
  gap: '2px 8px',
  padding: '8px 16px 9px',
  borderBottom: `1px solid ${vars?.palette.divider}`,
  '& time': {
    fontFamily: typography.mono,
    fontSize: 12,
    color: vars?.palette.text.secondary,
    lineHeight: '20px',
  },
  '& .did': { display: 'flex', flexWrap: 'wrap', gap: '3px 6px', alignItems: 'center', lineHeight: '20px' },
  '& .did b': { fontWeight: 650 },
  '& p': { gridColumn: 2, margin: 0, fontSize: 12, lineHeight: 1.4, color: vars?.palette.text.secondary },
  '& p.ran': { color: vars?.palette.tokens.accent },
}));

/** How often a slider on its way is told anew: milliseconds. It is read, also aloud. */
const SLIDE_MS = 300;

/** Whether nothing happened but that a slider went on. */
function isSlide(shown: readonly Happening[], now: readonly Happening[]): boolean {
  return (
    shown.length === now.length &&
    now[0]?.key === shown[0]?.key &&
    now[0]?.explanation.outcome.kind === 'slid'
  );
}

/** What happened and why, newest first; what is held; and a way to let go. */
export function Account() {
  const dispatch = useAppDispatch();
  const isEmpty = useAppSelector(
    (state) => !state.engine.happenings.some(({ explanation }) => isWorthTelling(explanation)),
  );
  return (
    <Box aria-label={WORDS.happened}>
      <header>
        <h2>{WORDS.happened}</h2>
        <span>{WORDS.newest}</span>
      </header>
      {isEmpty ? <p className="list empty">{WORDS.nothingYet}</p> : <AccountList />}
      <HeldNow />
      <footer>
        <Button onClick={() => dispatch(feed({ kind: 'reset' }))}>{WORDS.letGo}</Button>
        <Button onClick={() => dispatch(happeningsCleared())} disabled={isEmpty}>
          {WORDS.clear}
        </Button>
      </footer>
    </Box>
  );
}

/** All that happened, drawn by itself: it changes with every event. */
function AccountList() {
  const happenings = useCalm(
    useAppSelector((state) => state.engine.happenings),
    isSlide,
    SLIDE_MS,
  );
  // Put together anew for every event: some hundred short entries, well under a millisecond.
  const items = useMemo(() => accountItems(happenings), [happenings]);
  // Nothing of it is drawn anew where nothing of it changed.
  return useMemo(
    () => (
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls is reached by keyboard.
      <ol className="list" aria-live="polite" aria-relevant="additions" tabIndex={0}>
        {items.map((item) => (
          <AccountEntry key={item.key} item={item} />
        ))}
      </ol>
    ),
    [items],
  );
}

/** One thing that happened: what was done, what came of it, and why. Drawn once, as it does not change any more. */
const AccountEntry = memo(function AccountEntry({ item }: { readonly item: Happening }) {
  const setup = useAppSelector(selectSetup);
  const { explanation, ran } = item;
  const { subject, did, why } = accountOf(setup, explanation);
  const { kind } = explanation.outcome;
  // What was used says what was sent; the rest speaks of the engine.
  const used = kind === 'pressed' || kind === 'turned' || kind === 'repeated';
  const layout = useAppSelector(selectLayout);
  // Called what the program that got it reads.
  const reader = setup.programs.find(({ name }) => name === ran[0]?.program);
  const sent = sentOf(explanation.strokes, layout, reader?.keysBy);
  const up = sent.length === 0 ? cameUpOf(explanation.strokes, layout, reader?.keysBy) : [];
  // A page, a layer or a menu that comes is something, and told in the sentence below.
  const isNothing = used && sent.length === 0 && up.length === 0 && explanation.changes.length === 0;
  return (
    <Entry>
      <time>{WORDS.seconds(explanation.t)}</time>
      <span className="did">
        {subject} <b>{did}</b>
        {(sent.length > 0 || (used && up.length > 0) || isNothing) && ' →'}
        {sent.map(({ text, count }) => (
          <span key={text}>
            <Keycap shortcut={text} /> {count > 1 && `×${count}`}
          </span>
        ))}
        {isNothing && ` ${WORDS.nothing}`}
        {used &&
          up.map(({ text }) => (
            <span key={text}>
              <Keycap shortcut={text} /> {WORDS.comesUp}
            </span>
          ))}
      </span>
      <p>{why}</p>
      {ran.map(({ program, command, said, count }) => (
        <p key={`${program} ${command} ${command === null ? said : ''}`} className="ran">
          {command === null ? (
            <>
              {WORDS.hasNothing(program)} <Keycap shortcut={said} />
            </>
          ) : (
            `${WORDS.runs(program, command, count)} ${said}`
          )}
        </p>
      ))}
    </Entry>
  );
});
