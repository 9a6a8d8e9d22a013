import { styled } from '@mui/material/styles';
import { capital, deviceName, holdWords, triggerNameIn } from '@nimble-lever/core/words';
import { useEngine } from '../../app/engine/useEngine.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { Keycap } from '../../pieces/Keycap.tsx';
import { WORDS } from './words.ts';

const Box = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  padding: '10px 16px 12px',
  minHeight: 66,
  borderTop: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.background,
  '& h2': { margin: '0 0 6px' },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& p + p': { marginTop: 4 },
}));

/** Every key and button that is down now, and what holds it. */
export function HeldNow() {
  const setup = useAppSelector(selectSetup);
  const { held, latched } = useEngine();
  // Held by a hand, or latched: both are down for the program that gets them.
  const holding = [...Object.values(held), ...Object.values(latched)].filter(({ holds }) => holds.length > 0);
  return (
    <Box aria-label={WORDS.held}>
      <h2>{WORDS.held}</h2>
      {holding.length === 0 && <p>{WORDS.nothingHeld}</p>}
      {holding.map(({ using: { device, control, trigger }, holds }) => (
        <p key={`${device}/${control}/${trigger}`}>
          <Keycap shortcut={capital(holdWords(setup, holds))} /> {deviceName(setup, device)},{' '}
          {triggerNameIn(setup, device, control, trigger).toLowerCase()}
        </p>
      ))}
    </Box>
  );
}
