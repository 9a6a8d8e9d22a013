import { styled } from '@mui/material/styles';

const Svg = styled('svg')(({ theme: { vars } }) => ({
  '& .beam': { stroke: vars?.palette.tokens.railAccent, strokeWidth: 4, strokeLinecap: 'round' },
  '& .weight, & .pivot': { fill: vars?.palette.tokens.onRail },
}));

/** A lever on its pivot. */
export function Logo() {
  return (
    <Svg width="40" height="28" viewBox="0 0 40 28" aria-hidden>
      <path className="beam" d="M3 20 33 7" />
      <circle className="weight" cx="34" cy="6.5" r="4.5" />
      <path className="pivot" d="m20 16 5 9H15z" />
    </Svg>
  );
}
