import { styled } from '@mui/material/styles';
import { TRIED_MS } from '@nimble-lever/core/review';
import { WORDS } from '../words.ts';
import type { Tried } from './triedOut.ts';

/** Drawn in units of its own and stretched to the dock: a low and a high level, as on an oscilloscope. */
const WIDTH = 380;
const HEIGHT = 26;
const LOW = HEIGHT - 4;
const HIGH = 4;
/** A tap has no length of its own; it is drawn this wide to be seen. */
const LEAST = 10;

const Svg = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  width: '100%',
  height: HEIGHT,
  fill: 'none',
  '& .ground': { stroke: vars?.palette.divider },
  '& .pulse': { stroke: vars?.palette.tokens.accent, strokeWidth: 1.5 },
}));

const Line = styled('p')(({ theme: { vars, typography } }) => ({
  ...typography.caption,
  margin: 0,
  minHeight: HEIGHT,
  color: vars?.palette.text.secondary,
}));

/** The pulses that come out, down to up, along the time of one use; where nothing is sent, what happens instead. */
export function PulseDrawing({ tried: { pulses, changes } }: { readonly tried: Tried }) {
  if (pulses.length === 0) return <Line>{[WORDS.nothingSent, ...changes].join(' ')}</Line>;
  // Time runs from left to right over one try.
  const x = (t: number) => (t / TRIED_MS) * WIDTH;
  return (
    <Svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={WORDS.sentCount(pulses.length)}
    >
      <path className="ground" d={`M0 ${LOW}H${WIDTH}`} />
      {pulses.map(({ from, to }) => {
        // Two taps that are 20 ms apart must still be two.
        const width = Math.max(LEAST, x(to) - x(from));
        return <path key={from} className="pulse" d={`M${x(from)} ${LOW}V${HIGH}h${width}V${LOW}`} />;
      })}
    </Svg>
  );
}
