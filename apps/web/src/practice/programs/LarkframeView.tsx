import { styled } from '@mui/material/styles';
import { useEffect, useRef } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { HeronScene } from './HeronScene.tsx';
import { frameShown, playOn } from './larkframe.ts';

/** Twelve frames a second, as films shot on twos are. Common practice, no source. */
const FRAME_MS = 1000 / 12;

const Stage = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  padding: '4px 14px',
  position: 'relative',
  backgroundColor: vars?.palette.tokens.scene.room,
  '&[data-lit=false] svg': { filter: 'brightness(0.45)' },
  '& .guides': {
    position: 'absolute',
    inset: '14% 22%',
    border: `1.5px dashed ${vars?.palette.tokens.scene.umbrella}`,
    pointerEvents: 'none',
  },
}));

const Strip = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  gap: 4,
  padding: '6px 10px',
  overflowX: 'auto',
  backgroundColor: vars?.palette.tokens.background,
  '& button': {
    flex: 'none',
    width: 62,
    height: 34,
    padding: 0,
    border: '2px solid transparent',
    borderRadius: 4,
    overflow: 'hidden',
    background: 'none',
    cursor: 'pointer',
  },
  '& button[aria-current=true]': { borderColor: vars?.palette.tokens.accent },
}));

/** Larkframe: the frame shown, and the frames there are. */
export function LarkframeView() {
  const dispatch = useAppDispatch();
  const film = usePrograms(({ larkframe }) => larkframe);
  const { frames, at, onion, playing, magnified, lit, guides, lastCommand } = film;
  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!playing) return;
    const timer = setInterval(() => dispatch(changeProgram('larkframe', playOn)), FRAME_MS);
    return () => clearInterval(timer);
  }, [dispatch, playing]);
  useEffect(() => {
    const shown = strip.current?.children[at];
    if (shown instanceof HTMLElement && strip.current) {
      strip.current.scrollLeft = shown.offsetLeft - strip.current.clientWidth / 2;
    }
  }, [at]);
  const pose = frames[at];
  if (!pose) return null;
  return (
    <>
      <Stage data-lit={lit}>
        <HeronScene
          pose={pose}
          before={onion ? (frames[at - 1] ?? null) : null}
          magnified={magnified}
          label={WORDS.stage}
        />
        {guides && <div className="guides" />}
      </Stage>
      <Strip ref={strip} role="group" aria-label={WORDS.filmstrip}>
        {frames.map((frame, i) => (
          <button
            // biome-ignore lint/suspicious/noArrayIndexKey: a frame is its place in the film.
            key={i}
            type="button"
            aria-label={WORDS.frameNumber(i + 1)}
            aria-current={i === at}
            onClick={() => dispatch(changeProgram('larkframe', (state) => frameShown(state, i)))}
          >
            <HeronScene pose={frame} before={null} magnified={false} label={null} />
          </button>
        ))}
      </Strip>
      <StatusLine
        facts={[
          [WORDS.frame, WORDS.ofFrames(at, frames.length)],
          [WORDS.onion, onion ? WORDS.on : WORDS.off],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={lastCommand}
      />
    </>
  );
}
