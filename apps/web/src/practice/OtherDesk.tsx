import { styled } from '@mui/material/styles';
import { profileAt } from '@nimble-lever/core/engine';
import { profileName } from '@nimble-lever/core/words';
import { Monitor } from 'lucide-react';
import { selectSetup } from '../app/setup/selectors.ts';
import { useAppSelector } from '../app/store.ts';
import { Cap } from '../pieces/Keycap.tsx';
import { DESK_WINDOWS, selectDesk } from './deskSlice.ts';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  position: 'absolute',
  inset: '6% 12% auto',
  maxHeight: '88%',
  display: 'flex',
  flexDirection: 'column',
  gap: 10,
  padding: 20,
  overflow: 'auto',
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '& h2': { margin: 0, display: 'flex', alignItems: 'center', gap: 8, fontSize: 15, fontWeight: 650 },
  '& p': { margin: 0, color: vars?.palette.text.secondary },
  '& ol': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 6 },
}));

/** The desk of another computer: what is in front there, what that decides, and what it heard. */
export function OtherDesk() {
  const { shown, elsewhere, fronts } = useAppSelector(selectDesk);
  const setup = useAppSelector(selectSetup);
  const profile = useAppSelector(({ engine }) => profileAt(engine.engine, shown));
  // This computer's own desk is behind it.
  if (shown === null) return null;
  const program = DESK_WINDOWS.find(({ id }) => id === fronts[shown])?.name;
  const follows = profileName(setup, profile);
  const heard = elsewhere[shown] ?? [];
  return (
    <Box aria-label={shown}>
      <h2>
        <Monitor size={18} aria-hidden /> {shown}
      </h2>
      <p>{WORDS.otherDesk}</p>
      <p aria-live="polite">
        <b>{program ? WORDS.elsewhereInFront(program, follows) : WORDS.nothingElsewhere(follows)}</b>
      </p>
      {heard.length === 0 ? (
        <p>{WORDS.heardNothing}</p>
      ) : (
        <ol aria-label={WORDS.itHeard}>
          {heard.map((words, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the same may be heard twice.
            <li key={i}>
              <Cap>{words}</Cap>
            </li>
          ))}
        </ol>
      )}
    </Box>
  );
}
