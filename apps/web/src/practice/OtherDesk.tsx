import { styled } from '@mui/material/styles';
import { Monitor } from 'lucide-react';
import { useAppSelector } from '../app/store.ts';
import { Cap } from '../pieces/Keycap.tsx';
import { selectDesk } from './deskSlice.ts';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  position: 'absolute',
  inset: '6% 12%',
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

/** The desk of another computer: Nimble Lever is not there, so all one knows is what it heard. */
export function OtherDesk() {
  const { shown, elsewhere } = useAppSelector(selectDesk);
  // This computer's own desk is behind it.
  if (shown === null) return null;
  const heard = elsewhere[shown] ?? [];
  return (
    <Box aria-label={shown}>
      <h2>
        <Monitor size={18} aria-hidden /> {shown}
      </h2>
      <p>{WORDS.otherDesk}</p>
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
