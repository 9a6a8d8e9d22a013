import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { type Reached, reachedSchema } from '@nimble-lever/core/desks';
import type { Device } from '@nimble-lever/core/devices';
import QRCode from 'qrcode';
import { useEffect, useState } from 'react';
import { DialogBody } from './DialogBody.tsx';
import { WORDS } from './words.ts';

/** A code's side: pixels. */
const SIDE = 208;
/** Names under which only this computer reaches the server. */
const LOOPBACK = /^(localhost|127\.|\[::1\])/;

interface Props {
  readonly device: Device;
  readonly onClose: () => void;
}

/** Where a panel is opened to be used, as an address and as a code, and what is missing for it. */
export default function LiveDialog({ device, onClose }: Props) {
  const [reached, setReached] = useState<Reached | null>(null);
  const [wrong, setWrong] = useState(false);
  const [code, setCode] = useState<string | null>(null);
  useEffect(() => {
    const own = new AbortController();
    fetch('/api/reached', { signal: own.signal })
      .then((response) => response.json())
      .then((json) => setReached(reachedSchema.parse(json)))
      .catch(() => setWrong(!own.signal.aborted));
    return () => own.abort();
  }, []);
  const isHere = LOOPBACK.test(location.host);
  const origin = isHere ? (reached?.addresses[0] ?? null) : location.origin;
  const elsewhere = origin && `${origin}/panel/${device.id}`;
  useEffect(() => {
    if (!elsewhere) return;
    // As SVG, so that it is sharp on any screen.
    QRCode.toString(elsewhere, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }).then(setCode, () =>
      setCode(null),
    );
  }, [elsewhere]);
  const here = `${location.origin}/panel/${device.id}`;
  return (
    <Dialog open onClose={onClose} aria-labelledby="panel-live">
      <DialogBody>
        <h2 id="panel-live">{WORDS.liveOf(device.name)}</h2>
        <p>{WORDS.liveMeans}</p>
        {elsewhere && code && (
          <img
            src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(code)}`}
            alt={WORDS.codeFor(elsewhere)}
            width={SIDE}
            height={SIDE}
            style={{ alignSelf: 'center', borderRadius: 8 }}
          />
        )}
        <a href={elsewhere ?? here} target="_blank" rel="noreferrer" className="address">
          {elsewhere ?? here}
        </a>
        {wrong && <p className="wrong">{WORDS.reachedUnknown}</p>}
        {reached && <Missing reached={reached} isHere={isHere} />}
        <div className="end">
          <Button variant="contained" onClick={onClose}>
            {WORDS.close}
          </Button>
        </div>
      </DialogBody>
    </Dialog>
  );
}

/** What keeps other devices away, or is not as good as it could be, each with what to do. */
function Missing({ reached, isHere }: { readonly reached: Reached; readonly isHere: boolean }) {
  const { listens, addresses, own, asksForKey } = reached;
  const [address = WORDS.someAddress] = own;
  const isClosed = isHere && (listens === 'loopback' || addresses.length === 0);
  return (
    <>
      {isClosed && (
        <>
          <p>{listens === 'loopback' ? WORDS.onlyHere : WORDS.noName}</p>
          <code>{`ACCESS=key HOST=0.0.0.0 ALLOWED_HOSTS=${address} npm start`}</code>
        </>
      )}
      {!isClosed && !asksForKey && <p className="wrong">{WORDS.noKey}</p>}
      {!isClosed && asksForKey && <p>{WORDS.withKey}</p>}
      {!window.isSecureContext || !isHere ? <p>{WORDS.noEncryption}</p> : null}
    </>
  );
}
