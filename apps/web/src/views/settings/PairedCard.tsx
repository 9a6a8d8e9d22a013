import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type PairedBrowser, pairedListSchema } from '@nimble-lever/core/desks';
import { useCallback, useEffect, useState } from 'react';
import { z } from 'zod';
import { asked } from '../../app/pairing/api.ts';
import { PairingCode } from '../../app/pairing/PairingCode.tsx';
import { Reaching } from '../../app/pairing/Reaching.tsx';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppSelector } from '../../app/store.ts';
import { Card } from '../../pieces/Card.tsx';
import { List } from './List.tsx';
import { WORDS } from './words.ts';

const PAIRINGS = '/api/pairings';
/** How often it is asked who is paired: milliseconds. */
const ASK_MS = 3000;

const Pairing = styled('div')({ display: 'flex', flexDirection: 'column', gap: 12, maxWidth: 460 });

/** Browsers of other devices that may come in: who they are, another one, and one that may no more. */
export function PairedCard() {
  const [browsers, read] = usePaired();
  const [isPairing, setPairing] = useState(false);
  const [told, setTold] = useState('');
  const forget = async ({ id, name }: PairedBrowser) => {
    const isGone = await asked(z.object({}), `${PAIRINGS}/${id}`, { method: 'DELETE' }).then(
      () => true,
      () => false,
    );
    setTold(isGone ? WORDS.forgotten(name) : WORDS.notForgotten(name));
    await read();
  };
  return (
    <Card aria-labelledby="paired-settings">
      <h2 id="paired-settings">{WORDS.paired}</h2>
      <p>{WORDS.pairedMeans}</p>
      {browsers === 'reading' && <p role="status">{WORDS.pairedReading}</p>}
      {browsers === 'unknown' && <p role="status">{WORDS.pairedUnknown}</p>}
      {Array.isArray(browsers) &&
        (browsers.length === 0 ? (
          <p>{WORDS.pairedNone}</p>
        ) : (
          <Browsers browsers={browsers} onForget={forget} />
        ))}
      {/* It is there from the start, so that what comes into it is read out. */}
      <p role="status">{told}</p>
      {isPairing && (
        <Pairing>
          <p>{WORDS.pairGives}</p>
          <Reaching>
            {(origin) => <PairingCode rights={{ may: 'everything' }} origin={origin} to="/" />}
          </Reaching>
        </Pairing>
      )}
      <div>
        <Button variant="outlined" onClick={() => setPairing(!isPairing)}>
          {isPairing ? WORDS.pairDone : WORDS.pairOne}
        </Button>
      </div>
    </Card>
  );
}

interface BrowsersProps {
  readonly browsers: readonly PairedBrowser[];
  readonly onForget: (browser: PairedBrowser) => void;
}

function Browsers({ browsers, onForget }: BrowsersProps) {
  const { devices } = useAppSelector(selectSetup);
  const when = (iso: string) => new Date(iso).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
  const mayWords = ({ rights }: PairedBrowser) =>
    rights.may === 'everything'
      ? WORDS.mayEverything
      : WORDS.mayPanel(devices.find(({ id }) => id === rights.device)?.name ?? rights.device);
  return (
    <List>
      {browsers.map((browser) => (
        <li key={browser.id}>
          <b>{browser.isSelf ? `${browser.name} (${WORDS.thisOne})` : browser.name}</b>
          <small>
            {[
              mayWords(browser),
              WORDS.seen(when(browser.seenAt)),
              WORDS.pairedOn(when(browser.pairedAt)),
            ].join(' · ')}
          </small>
          <span className="acts">
            <Button aria-label={WORDS.forgetOf(browser.name)} onClick={() => onForget(browser)}>
              {WORDS.forget}
            </Button>
          </span>
        </li>
      ))}
    </List>
  );
}

/** Who is paired, asked again and again while it is looked at; also: asks now. */
function usePaired(): readonly [readonly PairedBrowser[] | 'reading' | 'unknown', () => Promise<void>] {
  const [browsers, setBrowsers] = useState<readonly PairedBrowser[] | 'reading' | 'unknown'>('reading');
  const read = useCallback(
    () => asked(pairedListSchema, PAIRINGS).then(setBrowsers, () => setBrowsers('unknown')),
    [],
  );
  useEffect(() => {
    void read();
    const timer = setInterval(read, ASK_MS);
    return () => clearInterval(timer);
  }, [read]);
  return [browsers, read];
}
