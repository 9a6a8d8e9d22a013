import { styled } from '@mui/material/styles';
import { type PointerEvent, useEffect, useMemo } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { type HushboxState, loudnessAt, playedOn, scrubbed } from './hushbox.ts';

/** How often the playhead moves while it plays: milliseconds. */
const PLAY_MS = 100;
/** The drawing's own units. */
const WIDTH = 600;
const HEIGHT = 160;
const BARS = 150;

const Wave = styled('svg')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  width: '100%',
  display: 'block',
  cursor: 'text',
  backgroundColor: vars?.palette.tokens.sunk,
  '& .bar': { fill: vars?.palette.tokens.family.move },
  '& .bar.silenced': { fill: vars?.palette.divider },
  '& .selection': { fill: vars?.palette.tokens.accentTint },
  '& .cut': { stroke: vars?.palette.text.primary, strokeWidth: 2 },
  '& .marker': { fill: vars?.palette.tokens.layer },
  '& .playhead': { stroke: vars?.palette.tokens.brick, strokeWidth: 2 },
}));

/** Hushbox: a waveform with its playhead, selection, cuts and markers. */
export function HushboxView() {
  const dispatch = useAppDispatch();
  const sound = usePrograms((rehearse) => rehearse.hushbox);
  const { at, view, selection, cuts, markers, playing, gain, lastCommand } = sound;
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(
      () => dispatch(changeProgram('hushbox', (state) => playedOn(state, PLAY_MS / 1000))),
      PLAY_MS,
    );
    return () => clearInterval(timer);
  }, [dispatch, playing]);
  const width = view.to - view.from;
  const x = (t: number) => ((t - view.from) / width) * WIDTH;
  const scrub = (event: PointerEvent<SVGSVGElement>) => {
    const { left, width: across } = event.currentTarget.getBoundingClientRect();
    const to = view.from + ((event.clientX - left) / across) * width;
    dispatch(changeProgram('hushbox', (state) => scrubbed(state, to)));
  };
  return (
    <>
      <Wave
        data-pointer=""
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={WORDS.waveform}
        onPointerDown={scrub}
      >
        {selection && (
          <rect
            className="selection"
            x={x(selection.from)}
            width={x(selection.to) - x(selection.from)}
            y={0}
            height={HEIGHT}
          />
        )}
        <Bars sound={sound} />
        {cuts.map((cut) => (
          <path key={cut} className="cut" d={`M${x(cut)} 0V${HEIGHT}`} />
        ))}
        {markers.map((marker) => (
          <path key={marker} className="marker" d={`M${x(marker) - 6} 0h12l-6 12z`} />
        ))}
        <path className="playhead" d={`M${x(at)} 0V${HEIGHT}`} />
      </Wave>
      <StatusLine
        facts={[
          [WORDS.at, `${at.toFixed(1)} s`],
          [WORDS.pieces, `${cuts.length + 1}`],
          [WORDS.markers, `${markers.length}`],
          [WORDS.seen, `${view.from.toFixed(0)}–${view.to.toFixed(0)} s`],
          [WORDS.gain, `${Math.round(gain * 100)} %`],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}

/** The recording as bars, as high as it is loud. What is silenced is drawn as silence. */
function Bars({ sound: { view, silenced, gain } }: { readonly sound: HushboxState }) {
  const [heard, silence] = useMemo(() => {
    const step = WIDTH / BARS;
    const outlines: [string[], string[]] = [[], []];
    for (let i = 0; i < BARS; i++) {
      // The sound is a formula of time, so that zooming in shows more of it and not the same larger.
      const t = view.from + ((i + 0.5) / BARS) * (view.to - view.from);
      const silent = silenced.some(({ from, to }) => t >= from && t < to);
      const height = Math.max(1.5, silent ? 0 : loudnessAt(t) * HEIGHT * 0.9);
      const place = `M${(i * step + step * 0.15).toFixed(2)} ${((HEIGHT - height) / 2).toFixed(2)}`;
      outlines[silent ? 1 : 0].push(`${place}h${step * 0.7}v${height.toFixed(2)}h${-step * 0.7}z`);
    }
    return outlines.map((parts) => parts.join(''));
  }, [view, silenced]);
  return (
    <>
      {/* A fader stretches it, and need not have it made anew. } */}
      <g transform={`translate(0 ${(HEIGHT / 2) * (1 - gain)}) scale(1 ${gain})`}>
        <path className="bar" d={heard} />
      </g>
      <path className="bar silenced" d={silence} />
    </>
  );
}
