import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type DeviceSettings, type FeltPress, suggestTimes } from '@nimble-lever/core/devices';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { WORDS } from './words.ts';

const Pad = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'center',
  height: 64,
  padding: '0 16px',
  borderRadius: 10,
  border: `1px dashed ${vars?.palette.text.secondary}`,
  textAlign: 'center',
  cursor: 'pointer',
  userSelect: 'none',
  touchAction: 'none',
  '&[data-down=true]': {
    color: vars?.palette.tokens.accent,
    borderColor: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
}));
const Line = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  width: '100%',
  height: 96,
  fontSize: 11,
  '& .press': { fill: vars?.palette.tokens.accent },
  '& .press.hold': { fill: vars?.palette.tokens.layer },
  '& .press.nudge': { fill: vars?.palette.tokens.family.tool },
  '& .pause': { stroke: vars?.palette.text.secondary, strokeDasharray: '2 3' },
  '& .pause.double': { stroke: vars?.palette.tokens.accent, strokeWidth: 2, strokeDasharray: 'none' },
  '& .threshold': { stroke: vars?.palette.tokens.brick, strokeWidth: 1.5 },
  '& text': { fill: vars?.palette.text.secondary },
}));

/** How many presses are kept and drawn, and how many pixels a millisecond is. */
const KEPT = 12;
/** Of those kept, how many are drawn. */
const DRAWN = 4;
/** Pixels of the picture, and the milliseconds that go into them: a slow hold fits. */
const WIDTH = 330;
const SPAN = 900;

/** Presses of one's own, from which thresholds are suggested. */
interface Props {
  readonly settings: DeviceSettings;
  readonly onChange: (settings: Partial<DeviceSettings>) => void;
}

/** A pad that shows one's own presses on a line of time against the thresholds, and suggests some from them. */
export function TryPad({ settings, onChange }: Props) {
  const [presses, setPresses] = useState<readonly FeltPress[]>([]);
  const [down, setDown] = useState(false);
  const begun = useRef<{ t: number; x: number; y: number; distance: number } | null>(null);
  const begin = (t: number, x: number, y: number) => {
    begun.current = { t, x, y, distance: 0 };
    setDown(true);
  };
  const end = (t: number) => {
    const from = begun.current;
    begun.current = null;
    setDown(false);
    if (from)
      setPresses((before) => [...before, { down: from.t, up: t, distance: from.distance }].slice(-KEPT));
  };
  const onMove = ({ clientX, clientY }: PointerEvent) => {
    const from = begun.current;
    // The farthest counts: a nudge that comes back was one all the same.
    if (from) from.distance = Math.max(from.distance, Math.hypot(clientX - from.x, clientY - from.y));
  };
  const onKey = (event: KeyboardEvent) => {
    // Space presses, as it does any button; a key that is held repeats by itself, which is no new press.
    if (event.key !== ' ' || event.repeat) return;
    event.preventDefault();
    if (event.type === 'keydown') begin(event.timeStamp, 0, 0);
    else end(event.timeStamp);
  };
  // Null until enough presses tell something about this hand.
  const suggestion = suggestTimes(presses);
  return (
    <>
      <Pad
        role="button"
        tabIndex={0}
        aria-label={WORDS.tryPad}
        data-down={down}
        onPointerDown={(event) => {
          // The release is heard wherever the pointer is by then.
          event.currentTarget.setPointerCapture(event.pointerId);
          begin(event.timeStamp, event.clientX, event.clientY);
        }}
        onPointerMove={onMove}
        onPointerUp={({ timeStamp }) => end(timeStamp)}
        onPointerCancel={() => {
          begun.current = null;
          setDown(false);
        }}
        onKeyDown={onKey}
        onKeyUp={onKey}
      >
        {WORDS.tryHint}
      </Pad>
      {presses.length === 0 ? <p>{WORDS.noPresses}</p> : <Presses presses={presses} settings={settings} />}
      <div className="line">
        {(['holdMs', 'doubleMs', 'nudgeDistance'] as const).map((field) => {
          const value = suggestion[field];
          if (value === null || value === settings[field]) return null;
          const unit = field === 'nudgeDistance' ? WORDS.px : WORDS.ms;
          return (
            <Button key={field} onClick={() => onChange({ [field]: value })}>
              {WORDS.suggest(WORDS.suggestions[field], `${value} ${unit}`)}
            </Button>
          );
        })}
      </div>
    </>
  );
}

/** The last presses, one under the other from where each began: how long, how far from the one before, how far moved. */
function Presses({
  presses,
  settings,
}: {
  readonly presses: readonly FeltPress[];
  readonly settings: DeviceSettings;
}) {
  const { holdMs, doubleMs, nudgeDistance } = settings;
  // Longer ones end at the edge; the number beside says how long they were.
  const px = (ms: number) => Math.min(WIDTH, (ms / SPAN) * WIDTH);
  const last = presses.slice(-DRAWN);
  const words = last.map(({ down, up, distance }, i) => {
    // From the last release, as the engine measures a double press.
    const pause = i > 0 ? down - (last[i - 1]?.up ?? 0) : null;
    const what =
      distance >= nudgeDistance
        ? 'nudge'
        : up - down >= holdMs
          ? 'hold'
          : pause !== null && pause <= doubleMs
            ? 'double press'
            : 'press';
    return { length: Math.round(up - down), pause, distance: Math.round(distance), what };
  });
  return (
    <Line
      viewBox={`0 0 ${WIDTH} 96`}
      role="img"
      aria-label={`${WORDS.yourPresses}: ${words.map(({ what }) => what).join(', ')}`}
    >
      {words.map(({ length, pause, distance, what }, i) => {
        const y = 4 + i * 21;
        const kind = what === 'hold' ? ' hold' : what === 'nudge' ? ' nudge' : '';
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a press is its place.
          <g key={i}>
            {pause !== null && (
              <path className={pause <= doubleMs ? 'pause double' : 'pause'} d={`M0 ${y - 3}H${px(pause)}`} />
            )}
            <rect className={`press${kind}`} x={0} y={y} width={Math.max(3, px(length))} height={9} rx={2} />
            <text x={WIDTH} y={y + 9} textAnchor="end">
              {what}, {length} {WORDS.ms}
              {distance > 3 && `, ${distance} ${WORDS.px}`}
            </text>
          </g>
        );
      })}
      <path className="threshold" d={`M${px(holdMs)} 0V88`} />
      <text x={Math.min(px(holdMs) + 4, WIDTH - 70)} y={94}>
        {holdMs} {WORDS.ms}
      </text>
    </Line>
  );
}
