import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { type DeviceSettings, pointerGain } from '@nimble-lever/core/devices';
import { tidy } from '@nimble-lever/core/words';
import { type PointerEvent, useRef, useState } from 'react';
import { WORDS } from './words.ts';

const Pad = styled('div')(({ theme: { vars } }) => ({
  position: 'relative',
  height: 92,
  overflow: 'hidden',
  borderRadius: 10,
  border: `1px dashed ${vars?.palette.text.secondary}`,
  cursor: 'crosshair',
  touchAction: 'none',
  '& .dot': {
    position: 'absolute',
    width: 14,
    height: 14,
    margin: -7,
    borderRadius: 7,
    backgroundColor: vars?.palette.tokens.accent,
    pointerEvents: 'none',
  },
  '& .hint': { position: 'absolute', left: 10, bottom: 6, pointerEvents: 'none' },
}));

/** Millimetres of the hand that a pixel stands for: a screen of 96 pixels an inch. */
const MM_PER_PX = 25.4 / 96;

/** A pad to feel pointer speed and acceleration on: the dot goes as the pointer of the device would. */
export function FeelPad({ settings }: { readonly settings: DeviceSettings }) {
  const { pointerSpeeds, acceleration } = settings;
  const [step, setStep] = useState(0);
  const [dot, setDot] = useState({ x: 50, y: 50 });
  const last = useRef<{ x: number; y: number; t: number } | null>(null);
  const at = pointerSpeeds.length === 0 ? 0 : step % pointerSpeeds.length;
  const speed = pointerSpeeds[at] ?? 1;
  const onMove = ({ clientX: x, clientY: y, timeStamp: t, currentTarget }: PointerEvent<HTMLElement>) => {
    const from = last.current;
    last.current = { x, y, t };
    if (!from) return;
    const [dx, dy] = [x - from.x, y - from.y];
    // The hand's speed in millimetres a second: pixels of the screen stand for the hand's way.
    const pace = t > from.t ? (Math.hypot(dx, dy) * MM_PER_PX * 1000) / (t - from.t) : 0;
    const gain = pointerGain(speed, acceleration, pace);
    const { width, height } = currentTarget.getBoundingClientRect();
    // The dot stops at the edges, as a pointer does at those of the screen.
    const within = (value: number) => Math.max(0, Math.min(100, value));
    setDot((before) => ({
      x: within(before.x + ((dx * gain) / width) * 100),
      y: within(before.y + ((dy * gain) / height) * 100),
    }));
  };
  return (
    <>
      <Pad
        role="img"
        aria-label={WORDS.feelPad(tidy(speed))}
        onPointerMove={onMove}
        // The way outside is no movement on the pad: it begins anew where the pointer comes back.
        onPointerLeave={() => {
          last.current = null;
        }}
      >
        <span className="dot" style={{ left: `${dot.x}%`, top: `${dot.y}%` }} />
        <span className="hint">{WORDS.feelHint}</span>
      </Pad>
      <div className="line">
        <Button disabled={pointerSpeeds.length < 2} onClick={() => setStep(at + 1)}>
          {WORDS.nextSpeed}
        </Button>
        {WORDS.feltAt(at + 1, tidy(speed))}
      </div>
    </>
  );
}
