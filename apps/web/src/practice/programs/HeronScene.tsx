import { styled } from '@mui/material/styles';
import type { Pose } from './larkframe.ts';

/** The stage in scene units. */
export const STAGE = { width: 440, height: 216 } as const;

const Svg = styled('svg')(({ theme: { vars } }) => {
  const scene = vars?.palette.tokens.scene;
  return {
    display: 'block',
    width: '100%',
    height: '100%',
    '& .sky': { fill: scene?.sky },
    '& .far': { fill: scene?.hillFar },
    '& .near': { fill: scene?.hillNear },
    '& .water': { fill: scene?.water },
    '& .rain': { stroke: scene?.rain, strokeWidth: 1.2 },
    '& .heron': { fill: scene?.heron },
    '& .leg, & .stick': { stroke: scene?.heron, strokeWidth: 3, fill: 'none', strokeLinecap: 'round' },
    '& .beak': { fill: scene?.beak },
    '& .umbrella': { fill: scene?.umbrella },
    '& .before': { opacity: 0.32 },
  };
});

/** The heron and its umbrella. */
function Heron({ pose }: { readonly pose: Pose }) {
  const x = 20 + pose.x * 360;
  const y = 128 - pose.lift * 14;
  return (
    <g transform={`translate(${x} ${y})`}>
      <path className="leg" d={`M-4 22 L-8 52 M8 22 L${12 + pose.lift * 8} 52`} />
      <path className="heron" d="M-30 6 C-22 -14 14 -16 26 2 C22 20 -10 28 -30 6Z" />
      <path className="heron" d="M16 -4 C30 -16 14 -34 26 -50 L34 -46 C26 -30 38 -12 26 6Z" />
      <circle className="heron" cx="31" cy="-50" r="8" />
      <path className="beak" d="M37 -54 L62 -48 L37 -45Z" />
      <g transform={`translate(-2 -8) rotate(${pose.umbrella})`}>
        <path className="stick" d="M0 0 V-62" />
        <path
          className="umbrella"
          d="M-44 -56 C-36 -92 36 -92 44 -56 C30 -64 16 -64 0 -56 C-16 -64 -30 -64 -44 -56Z"
        />
      </g>
    </g>
  );
}

/** One frame of the film. */
interface Props {
  readonly pose: Pose;
  /** The frame before, to show through. */
  readonly before: Pose | null;
  readonly magnified: boolean;
  /** What one sees, for those who do not; null where the picture only repeats. */
  readonly label: string | null;
}

/** Drops at places that look scattered and are the same in every frame and every test. */
const RAIN = Array.from({ length: 26 }, (_, i) => ({ x: (i * 53) % STAGE.width, y: (i * 37) % 150 }));

/** One frame of the film: marsh, rain, the heron under its umbrella. */
export function HeronScene({ pose, before, magnified, label }: Props) {
  const { width, height } = STAGE;
  const middle = Math.max(width / 4, Math.min((width * 3) / 4, 20 + pose.x * 360));
  const naming = label === null ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label };
  const view = magnified
    ? `${middle - width / 4} ${height / 4} ${width / 2} ${height / 2}`
    : `0 0 ${width} ${height}`;
  return (
    <Svg viewBox={view} preserveAspectRatio="xMidYMid slice" {...naming}>
      <rect className="sky" width={width} height={height} />
      <path className="far" d={`M0 140 C90 96 190 110 260 132 S400 122 ${width} 108 V${height} H0Z`} />
      <path className="water" d={`M0 168 H${width} V${height} H0Z`} />
      <path className="near" d={`M0 188 C110 164 210 196 300 182 S410 186 ${width} 176 V${height} H0Z`} />
      {RAIN.map(({ x, y }) => (
        <path key={`${x} ${y}`} className="rain" d={`M${x} ${y}l-5 15`} />
      ))}
      {before && (
        <g className="before" data-onion="">
          <Heron pose={before} />
        </g>
      )}
      <Heron pose={pose} />
    </Svg>
  );
}
