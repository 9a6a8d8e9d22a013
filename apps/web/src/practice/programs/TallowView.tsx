import { styled } from '@mui/material/styles';
import { useId } from 'react';
import { useAppDispatch } from '../../app/store.ts';
import { changeProgram } from '../programKeys.ts';
import { usePrograms } from '../programsSlice.ts';
import { StatusLine } from '../StatusLine.tsx';
import { WORDS } from '../words.ts';
import { HeronScene } from './HeronScene.tsx';
import { poseAt } from './larkframe.ts';
import { gradeOf, gradeTables, PLAIN, TONE_NAMES, TONES, type Tone, type Wheel } from './tallow.ts';

const Body = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  display: 'flex',
  flexDirection: 'column',
  backgroundColor: vars?.palette.tokens.scene.room,
  '& .picture': { flex: 1, minHeight: 0, padding: '4px 14px' },
}));
const Wheels = styled('div')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  justifyContent: 'center',
  gap: 18,
  padding: '6px 10px',
  backgroundColor: vars?.palette.tokens.background,
  '& button': {
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    gap: 2,
    padding: '4px 10px 3px',
    border: '2px solid transparent',
    borderRadius: 8,
    font: 'inherit',
    fontSize: 11,
    color: vars?.palette.text.primary,
    background: 'none',
    cursor: 'pointer',
  },
  '& button[aria-pressed=true]': { borderColor: vars?.palette.tokens.accent },
  '& .disc': {
    width: 58,
    height: 58,
    borderRadius: 29,
    position: 'relative',
    // Hues as they lie on a wheel, red at the right; grey in the middle.
    backgroundImage:
      'radial-gradient(closest-side, rgb(128 128 128) 10%, rgb(128 128 128 / 0.35)), conic-gradient(from 90deg, hsl(0 60% 55%), hsl(60 60% 55%), hsl(120 60% 45%), hsl(180 60% 45%), hsl(240 60% 60%), hsl(300 60% 55%), hsl(360 60% 55%))',
  },
  '& .dot': {
    position: 'absolute',
    width: 9,
    height: 9,
    margin: '-4.5px 0 0 -4.5px',
    borderRadius: 5,
    border: `2px solid ${vars?.palette.tokens.sheet}`,
    backgroundColor: vars?.palette.text.primary,
  },
}));

/** Tallow: a picture and the three wheels that grade it. */
export function TallowView() {
  const state = usePrograms((rehearse) => rehearse.tallow);
  const filter = useId();
  const grade = state.ungraded ? PLAIN : gradeOf(state);
  const tables = gradeTables(grade);
  return (
    <>
      <Body>
        <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
          <filter id={filter} colorInterpolationFilters="sRGB">
            <feComponentTransfer>
              <feFuncR type="table" tableValues={tables.red.join(' ')} />
              <feFuncG type="table" tableValues={tables.green.join(' ')} />
              <feFuncB type="table" tableValues={tables.blue.join(' ')} />
            </feComponentTransfer>
            <feColorMatrix type="saturate" values={String(grade.saturation)} />
          </filter>
        </svg>
        <div className="picture" style={{ filter: `url(#${CSS.escape(filter)})` }}>
          <HeronScene
            pose={poseAt(3 + state.at * 4)}
            before={null}
            magnified={state.magnified}
            label={WORDS.graded(state.at + 1)}
          />
        </div>
        <Wheels role="group" aria-label={WORDS.wheels}>
          {TONES.map((tone) => (
            <WheelButton
              key={tone}
              tone={tone}
              wheel={gradeOf(state).wheels[tone]}
              inHand={state.tone === tone}
            />
          ))}
        </Wheels>
      </Body>
      <StatusLine
        facts={[
          [WORDS.shot, WORDS.ofFrames(state.at, state.shots.length)],
          [WORDS.inHand, TONE_NAMES[state.tone]],
          [WORDS.brightness, `${Math.round(gradeOf(state).wheels[state.tone].level * 100)} %`],
        ]}
        lastName={WORDS.lastCommand}
        lastCommand={state.lastCommand}
      />
    </>
  );
}

/** One of the three colour wheels. */
interface WheelProps {
  readonly tone: Tone;
  readonly wheel: Wheel;
  readonly inHand: boolean;
}

/** A wheel with its colour as a point in it: the angle is the hue, the distance its strength. */
function WheelButton({ tone, wheel, inHand }: WheelProps) {
  const dispatch = useAppDispatch();
  // The hue as an angle from the right, counter to the clock, as colour wheels are drawn (common practice, no
  // source).
  const angle = (wheel.hue * Math.PI) / 180;
  // Not quite to the edge: a colour at full strength is still inside its wheel.
  const at = (part: number) => `${50 + 46 * wheel.strength * part}%`;
  return (
    <button
      type="button"
      aria-pressed={inHand}
      onClick={() => dispatch(changeProgram('tallow', (state) => ({ ...state, tone })))}
    >
      <span className="disc">
        <span className="dot" style={{ left: at(Math.cos(angle)), top: at(Math.sin(angle)) }} />
      </span>
      {TONE_NAMES[tone]}
    </button>
  );
}
