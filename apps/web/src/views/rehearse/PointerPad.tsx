import { styled } from '@mui/material/styles';
import { type Control, type Device, pointerGain } from '@nimble-lever/core/devices';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { feed } from '../../app/engine/feed.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { movePointer } from '../../practice/pointing.ts';
import { WORDS } from './words.ts';

const Pad = styled('div')(({ theme: { vars } }) => ({
  flex: '0 1 44%',
  minWidth: 0,
  position: 'relative',
  display: 'flex',
  alignItems: 'flex-end',
  padding: 6,
  borderRadius: 8,
  border: `1px dashed ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.background,
  fontSize: 11,
  lineHeight: 1.3,
  color: vars?.palette.text.secondary,
  cursor: 'crosshair',
  touchAction: 'none',
  '&[data-touch=true]': { borderStyle: 'solid', borderColor: vars?.palette.tokens.accent },
}));

/** Millimetres of a real pad that a pixel of the drawn one stands for, and pixels an arrow key goes. */
const MM_PER_PX = 0.5;
/** Pixels a press of an arrow moves; two of them make a nudge with the usual settings. */
const KEY_STEP = 12;

/** A small pad on which a pen hovers and touches, or a mouse moves: the desk's pointer follows at the device's speed. */
export function PointerPad({ device }: { readonly device: Device }) {
  const dispatch = useAppDispatch();
  const speed = useAppSelector((state) => state.engine.engine.speeds[device.id] ?? 0);
  const last = useRef<{ x: number; y: number; t: number } | null>(null);
  const [touching, setTouching] = useState(false);
  const switches = device.controls.filter(({ kind }) => kind === 'pen-switch');
  const tip = device.controls.find(({ kind }) => kind === 'pen-tip');
  const use = (control: Control | undefined, kind: 'down' | 'up') => {
    if (control) dispatch(feed({ kind, device: device.id, control: control.id }));
  };
  const move = (dx: number, dy: number, ms: number) => {
    // As the driver would: the device's speed, and more of it for a faster hand.
    const factor = device.settings.pointerSpeeds[speed] ?? 1;
    const pace = ms > 0 ? (Math.hypot(dx, dy) * MM_PER_PX * 1000) / ms : 0;
    const gain = pointerGain(factor, device.settings.acceleration, pace);
    dispatch(movePointer(dx * gain, dy * gain));
  };
  const onPointerMove = ({ clientX: x, clientY: y, timeStamp: t }: PointerEvent) => {
    const from = last.current;
    last.current = { x, y, t };
    if (from) move(x - from.x, y - from.y, t - from.t);
  };
  const touch = (down: boolean) => {
    // Lost capture, blur and up may all come: the tip comes up once.
    if (down === touching) return;
    setTouching(down);
    use(tip, down ? 'down' : 'up');
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    touch(true);
  };
  const onKey = (event: KeyboardEvent) => {
    const down = event.type === 'keydown';
    const [dx, dy] = ARROWS[event.key] ?? [0, 0];
    // Switches of the pen by their numbers, as the other hand presses them.
    const own = switches[Number(event.key) - 1];
    if (dx === 0 && dy === 0 && event.key !== ' ' && !own) return;
    event.preventDefault();
    event.stopPropagation();
    if (down && (dx !== 0 || dy !== 0)) move(dx * KEY_STEP, dy * KEY_STEP, 0);
    if (event.repeat) return;
    if (event.key === ' ') touch(down);
    use(own, down ? 'down' : 'up');
  };
  return (
    <Pad
      role="application"
      tabIndex={0}
      aria-label={tip ? WORDS.padOf(device.name) : WORDS.mousePadOf(device.name)}
      data-touch={touching}
      onPointerMove={onPointerMove}
      onPointerLeave={() => {
        last.current = null;
      }}
      onPointerDown={tip ? onPointerDown : undefined}
      onPointerUp={() => touch(false)}
      onPointerCancel={() => touch(false)}
      onKeyDown={onKey}
      onKeyUp={onKey}
      onBlur={() => touch(false)}
    >
      {tip ? WORDS.padHint : WORDS.mousePadHint}
    </Pad>
  );
}

/** Which way an arrow moves. */
const ARROWS: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowUp: [0, -1],
  ArrowRight: [1, 0],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
};
