import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { styled } from '@mui/material/styles';
import type { Reached } from '@nimble-lever/core/desks';
import { type ReactNode, useEffect, useState } from 'react';
import { readReached } from './api.ts';
import { WORDS } from './words.ts';

/** Names under which only this computer reaches the server. */
const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:|$)/;

const Frame = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  '& .line': { display: 'flex', alignItems: 'center', gap: 10 },
  '& p': { margin: 0, fontSize: 12, lineHeight: 1.5, color: vars?.palette.text.secondary },
  '& p[role=alert]': { color: vars?.palette.tokens.brick },
  '& code': {
    padding: '8px 10px',
    borderRadius: 8,
    fontSize: 12,
    overflowWrap: 'anywhere',
    backgroundColor: vars?.palette.tokens.sunk,
  },
}));

/**
 * What needs an address that other devices open: it is drawn with one where there is any; else what is missing is said,
 * and what to do.
 */
export function Reaching({ children }: { readonly children: (origin: string) => ReactNode }) {
  const [reached, setReached] = useState<Reached | 'reading' | 'unknown'>('reading');
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    const own = new AbortController();
    readReached(own.signal).then(setReached, () => own.signal.aborted || setReached('unknown'));
    return () => own.abort();
  }, []);
  if (reached === 'reading') return <Frame role="status">{WORDS.reading}</Frame>;
  if (reached === 'unknown') {
    return (
      <Frame>
        <p role="alert">{WORDS.unknown}</p>
      </Frame>
    );
  }
  // A page that others reached it by shows how they do.
  const addresses = LOOPBACK.test(location.host) ? reached.addresses : [location.origin];
  const [first] = addresses;
  if (first === undefined) {
    return (
      <Frame>
        <p>{reached.listens === 'loopback' ? WORDS.onlyHere : WORDS.noAddress}</p>
        {reached.listens === 'loopback' && <code>{WORDS.command}</code>}
      </Frame>
    );
  }
  const origin = chosen ?? first;
  return (
    <Frame>
      {addresses.length > 1 && (
        <div className="line">
          {WORDS.reachedAt}
          <Select
            size="small"
            value={origin}
            inputProps={{ 'aria-label': WORDS.reachedAt }}
            onChange={({ target }) => setChosen(target.value)}
          >
            {addresses.map((each) => (
              <MenuItem key={each} value={each}>
                {each}
              </MenuItem>
            ))}
          </Select>
        </div>
      )}
      {children(origin)}
      {!reached.isEncrypted && location.protocol === 'http:' && <p>{WORDS.notEncrypted}</p>}
    </Frame>
  );
}
