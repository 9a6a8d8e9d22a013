import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { PairingCode as Code, Rights } from '@nimble-lever/core/desks';
import { Check } from 'lucide-react';
import QRCode from 'qrcode';
import { useEffect, useState } from 'react';
import { isGood, usePairingCode } from './usePairingCode.ts';
import { WORDS } from './words.ts';

/** A code's side: pixels. */
const SIDE = 176;

const Frame = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  gap: 16,
  alignItems: 'center',
  minHeight: SIDE,
  '& img': { flex: 'none', borderRadius: 8 },
  '& .side': { minWidth: 0, display: 'flex', flexDirection: 'column', alignItems: 'flex-start', gap: 4 },
  '& .side > span, & .side > p': { fontSize: 12, color: vars?.palette.text.secondary },
  '& .side > b': { fontSize: 13, overflowWrap: 'anywhere' },
  '& .side > .digits': {
    fontSize: 32,
    lineHeight: 1.2,
    fontWeight: 650,
    fontVariantNumeric: 'tabular-nums',
    color: vars?.palette.text.primary,
  },
  '& .done': { display: 'flex', alignItems: 'center', gap: 8, fontSize: 14, fontWeight: 650 },
}));

interface Props {
  /** What a browser may do that is paired by it. */
  readonly rights: Rights;
  /** Where the server is reached by others: an origin. */
  readonly origin: string;
  /** The page that a browser goes on to once it is paired, if it may: its path. */
  readonly to: string;
}

/** A code that pairs a browser: to scan, and to type; what became of it, and another one. */
export function PairingCode({ rights, origin, to }: Props) {
  const [state, another] = usePairingCode(rights);
  const anew = (label: string) => (
    <Button variant="outlined" onClick={another}>
      {label}
    </Button>
  );
  if (state.kind === 'making') return <Frame role="status">{WORDS.making}</Frame>;
  if (state.kind === 'failed') {
    return (
      <Frame>
        <div className="side">
          <p role="alert">{WORDS.failed}</p>
          {anew(WORDS.make)}
        </div>
      </Frame>
    );
  }
  const { code } = state;
  if (isGood(code)) return <Shown code={code} origin={origin} to={to} />;
  return (
    <Frame>
      <div className="side">
        {code.pairedWith === null ? (
          <p role="status">{WORDS.over}</p>
        ) : (
          <span role="status" className="done">
            <Check size={18} aria-hidden /> {WORDS.paired(code.pairedWith)}
          </span>
        )}
        {anew(WORDS.another)}
      </div>
    </Frame>
  );
}

/** A code that is good: as a picture, which brings the digits along, and in digits. */
function Shown({
  code: { code, seconds, wrong },
  origin,
  to,
}: Omit<Props, 'rights'> & { readonly code: Code }) {
  const [svg, setSvg] = useState<string | null>(null);
  const address = `${origin}/pair`;
  const link = `${address}?to=${encodeURIComponent(to)}#${code}`;
  useEffect(() => {
    // As SVG, so that it is sharp on any screen.
    QRCode.toString(link, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }).then(setSvg, () =>
      setSvg(null),
    );
  }, [link]);
  return (
    <Frame>
      {svg && (
        <img
          src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
          alt={WORDS.scan(address)}
          width={SIDE}
          height={SIDE}
        />
      )}
      <div className="side">
        <span>{WORDS.orOpen}</span>
        <b>{address}</b>
        <span>{WORDS.andType}</span>
        <span className="digits">{WORDS.digits(code)}</span>
        <span>{WORDS.good(seconds)}</span>
        {wrong > 0 && <p role="status">{WORDS.wrong(wrong)}</p>}
      </div>
    </Frame>
  );
}
