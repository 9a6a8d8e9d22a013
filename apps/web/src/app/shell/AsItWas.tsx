import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { BIN_DAYS } from '@nimble-lever/core/setup';
import { History, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { momentWords } from '../moment.ts';
import { openSetUp } from '../setup/setUps.ts';
import { goBackTo, unbinSetUp } from '../setup/vaultApi.ts';
import { useAppSelector } from '../store.ts';
import { SET_UP_WORDS } from './setUpWords.ts';

const Line = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  alignItems: 'center',
  gap: 10,
  minHeight: 40,
  padding: '4px 16px',
  fontSize: 13,
  color: vars?.palette.text.primary,
  backgroundColor: vars?.palette.tokens.accentTint,
  borderBottom: `1px solid ${vars?.palette.divider}`,
  '& .words': { flex: 1, minWidth: 0 },
  '& svg': { flex: 'none' },
}));

/** Above a view of a set-up that is not simply the one worked with: as it was, or in the bin; and the way on. */
export function AsItWas() {
  const { id, revision, asItWas, binnedAt, me } = useAppSelector((state) => state.setup);
  const { pathname } = useLocation();
  const [failed, setFailed] = useState('');
  const [isBusy, setBusy] = useState(false);
  if (id === null) return null;
  const run = async (work: () => Promise<void>) => {
    setBusy(true);
    try {
      await work();
      setFailed('');
    } catch (error) {
      setFailed(error instanceof Error ? error.message : '');
      setBusy(false);
    }
  };
  if (asItWas) {
    const when =
      asItWas.at === null ? SET_UP_WORDS.asItBegan : SET_UP_WORDS.asItWas(momentWords(asItWas.at), revision);
    return (
      <Line role="region" aria-label={SET_UP_WORDS.lookingBack}>
        <History size={16} aria-hidden />
        <span className="words">
          {when} {failed === '' && SET_UP_WORDS.onlyToLook}
          {failed !== '' && <span role="alert">{failed}</span>}
        </span>
        <Button
          disabled={isBusy}
          onClick={() =>
            void run(async () => {
              await goBackTo(id, revision, me);
              openSetUp(id, '/vault');
            })
          }
        >
          {SET_UP_WORDS.goBackToThis}
        </Button>
        <Button variant="contained" onClick={() => openSetUp(id, pathname)}>
          {SET_UP_WORDS.backToNow}
        </Button>
      </Line>
    );
  }
  if (binnedAt === null) return null;
  const goes = new Date(Date.parse(binnedAt) + BIN_DAYS * 24 * 3600 * 1000).toISOString();
  return (
    <Line role="region" aria-label={SET_UP_WORDS.inBinRegion}>
      <Trash2 size={16} aria-hidden />
      <span className="words">
        {SET_UP_WORDS.inBin(momentWords(goes))}
        {failed !== '' && <span role="alert"> {failed}</span>}
      </span>
      <Button
        disabled={isBusy}
        onClick={() =>
          void run(async () => {
            await unbinSetUp(id);
            location.reload();
          })
        }
      >
        {SET_UP_WORDS.takeOut}
      </Button>
    </Line>
  );
}
