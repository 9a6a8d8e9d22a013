import { styled } from '@mui/material/styles';
import type { Control, Device, Shape } from '@nimble-lever/core/devices';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef } from 'react';
import { isPlaced, placeAt, placeByKey } from './positionGestures.ts';
import { angleBetween, centreOf, wheelTurn } from './rotorGestures.ts';

/** What the hand does to a drawn control. Turns are signed: clockwise, or away from the person, is positive. */
export interface DeviceHandlers {
  onDown(control: Control): void;
  onUp(control: Control): void;
  onTurn(control: Control, unit: 'degrees' | 'detents', amount: number): void;
  /** A spring ring or a slider is at a place; a ring let go is at 0. */
  onPosition(control: Control, value: number): void;
  /** The hand moves while it presses a control: pixels. */
  onMove?: (dx: number, dy: number) => void;
}

/** A device drawn to scale, and how it is at the moment. */
interface Props extends DeviceHandlers {
  readonly device: Device;
  /** Controls that are down or were just used. */
  readonly lit: ReadonlySet<string>;
  readonly selected: string | null;
  /** How far each rotor has been turned, in degrees; for its mark. */
  readonly angles: Readonly<Record<string, number>>;
  /** Where each spring ring and slider is. */
  readonly values: Readonly<Record<string, number>>;
  /** What a control is called to someone who does not see it. */
  readonly hint: (control: Control) => string;
}

const Svg = styled('svg')(({ theme: { vars } }) => ({
  display: 'block',
  width: '100%',
  height: '100%',
  touchAction: 'none',
  '& .body': { fill: vars?.palette.tokens.background, stroke: vars?.palette.text.primary },
  '& .control': { cursor: 'pointer', outline: 'none' },
  '& .control .face': { fill: vars?.palette.tokens.sheet, stroke: vars?.palette.text.primary },
  '& .control .cap': { fill: vars?.palette.tokens.sunk, stroke: vars?.palette.text.secondary },
  '& .control .mark': { fill: vars?.palette.text.primary, stroke: 'none' },
  '& .control .reach': { fill: 'transparent', stroke: 'transparent' },
  '& .control:hover .face': { fill: vars?.palette.tokens.sunk },
  '& .control.selected .face': { strokeWidth: 2.5, stroke: vars?.palette.text.primary },
  '& .control.lit .face, & .control.lit .cap': {
    fill: vars?.palette.tokens.accentTint,
    stroke: vars?.palette.tokens.accent,
  },
  '& .control:focus-visible .face': { stroke: vars?.palette.tokens.accent, strokeWidth: 3 },
  '& *': { vectorEffect: 'non-scaling-stroke', strokeWidth: 1.3 },
}));

/** A device drawn from its own geometry, in millimetres. Each control can be pressed and turned. */
export function DeviceDrawing({ device, lit, selected, angles, values, hint, ...handlers }: Props) {
  return (
    <Svg viewBox={`0 0 ${device.width} ${device.height}`} role="group" aria-label={device.name}>
      {device.body.map((shape, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the outline never changes order.
        <ShapeMark key={i} shape={shape} className="body" />
      ))}
      {device.controls.map((control) => (
        <ControlMark
          key={control.id}
          control={control}
          label={`${device.name}, ${hint(control)}`}
          lit={lit.has(control.id)}
          selected={selected === control.id}
          angle={angles[control.id] ?? 0}
          value={values[control.id] ?? 0}
          {...handlers}
        />
      ))}
    </Svg>
  );
}

/** One control of the drawing, with its own part of how the device is. */
interface MarkProps extends DeviceHandlers {
  readonly control: Control;
  readonly label: string;
  readonly lit: boolean;
  readonly selected: boolean;
  readonly angle: number;
  readonly value: number;
}

/**
 * A control that can be pressed, turned, pushed and moved by pointer and by keys; one focus stop, whatever it can do.
 */
function ControlMark(props: MarkProps) {
  const { control, label, lit, selected, angle, value, onDown, onUp, onTurn, onPosition, onMove } = props;
  const element = useRef<SVGGElement>(null);
  // A phrase is said by pressing it.
  const presses = control.canPress || control.phrase !== null;
  // Keys come up elsewhere when the focus moves; what was pressed here is then let go here.
  const keyHeld = useRef(false);
  const drag = useRef<{ x: number; y: number; pressing: boolean } | null>(null);
  // One press of an arrow is one step, whatever the dial's angle is.
  const step = control.rotor?.kind === 'continuous' ? control.rotor.stepDegrees : 0;
  const turnSteps = (steps: number) =>
    step > 0 ? onTurn(control, 'degrees', steps * step) : onTurn(control, 'detents', steps);

  // React listens to wheels passively; a turn must keep the page from scrolling.
  const latest = useRef(turnSteps);
  latest.current = turnSteps;
  const turns = control.rotor !== null;
  const away = control.kind === 'wheel';
  useEffect(() => {
    const node = element.current;
    if (!node || !turns) return;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const steps = wheelTurn(event, away);
      if (steps !== 0) latest.current(steps);
    };
    node.addEventListener('wheel', onWheel, { passive: false });
    return () => node.removeEventListener('wheel', onWheel);
  }, [turns, away]);

  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    if (event.button !== 0) return;
    // The drag goes on outside the drawing, and its end is heard wherever it is.
    event.currentTarget.setPointerCapture(event.pointerId);
    // A ring with a button in it: the button is pressed, the ring around it turned.
    const onCap = event.target instanceof Element && event.target.closest('[data-cap]') !== null;
    const pressing = presses && (control.rotor === null || control.cap === null || onCap);
    drag.current = { x: event.clientX, y: event.clientY, pressing };
    if (pressing) onDown(control);
    if (control.slider) onPosition(control, placeAt(control, faceOf(event), drag.current, drag.current));
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    const from = drag.current;
    const to = { x: event.clientX, y: event.clientY };
    if (from && isPlaced(control)) {
      const next = placeAt(control, faceOf(event), from, to);
      if (next !== value) onPosition(control, next);
    }
    if (from?.pressing) {
      drag.current = { ...to, pressing: true };
      onMove?.(to.x - from.x, to.y - from.y);
      return;
    }
    if (!from || !control.rotor) return;
    const degrees = angleBetween(centreOf(event.currentTarget), from, to);
    if (degrees === 0) return;
    drag.current = { ...to, pressing: false };
    onTurn(control, 'degrees', degrees);
  };
  const onPointerEnd = () => {
    const from = drag.current;
    drag.current = null;
    if (from?.pressing) onUp(control);
    // A spring goes back by itself when the hand lets go.
    if (from && control.spring) onPosition(control, 0);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    // Shortcuts are the page's.
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const place = isPlaced(control) ? placeByKey(control, value, event.key) : null;
    if (place !== null) {
      event.preventDefault();
      event.stopPropagation();
      onPosition(control, place);
      return;
    }
    const direction = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (direction !== undefined && control.rotor) {
      event.preventDefault();
      event.stopPropagation();
      turnSteps(direction);
    } else if ((event.key === ' ' || event.key === 'Enter') && presses) {
      event.preventDefault();
      event.stopPropagation();
      if (event.repeat || keyHeld.current) return;
      keyHeld.current = true;
      onDown(control);
    }
  };
  const onKeyEnd = () => {
    if (!keyHeld.current) return;
    keyHeld.current = false;
    onUp(control);
  };
  const onKeyUp = (event: KeyboardEvent) => {
    if (event.key === ' ' || event.key === 'Enter') onKeyEnd();
    if (control.spring && event.key.startsWith('Arrow') && value !== 0) onPosition(control, 0);
  };

  return (
    // biome-ignore lint/a11y/useSemanticElements: SVG has no button element.
    <g
      ref={element}
      role="button"
      tabIndex={0}
      aria-label={label}
      data-control={control.id}
      className={`control${lit ? ' lit' : ''}${selected ? ' selected' : ''}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerEnd}
      onPointerCancel={onPointerEnd}
      onKeyDown={onKeyDown}
      onKeyUp={onKeyUp}
      onBlur={onKeyEnd}
    >
      <ShapeMark shape={control.shape} className="reach" reach={4} />
      <ShapeMark shape={control.shape} className="face" />
      {control.cap && (
        <g data-cap="">
          <ShapeMark shape={control.cap} className="cap" />
        </g>
      )}
      {control.slider && <SliderMark shape={control.shape} value={value} />}
      {control.cap?.kind === 'circle' && (
        <circle
          className="mark"
          cx={control.cap.cx}
          cy={control.cap.cy - control.cap.r * 0.72}
          r={Math.max(1.4, control.cap.r * 0.12)}
          transform={`rotate(${angle + value * 15} ${control.cap.cx} ${control.cap.cy})`}
        />
      )}
    </g>
  );
}

/** The drawn outline that a pointer is measured against. */
function faceOf({ currentTarget }: PointerEvent<SVGGElement>): Element {
  return currentTarget.querySelector('.face') ?? currentTarget;
}

/** Where a slider stands, across its outline. */
function SliderMark({ shape, value }: { readonly shape: Shape; readonly value: number }) {
  if (shape.kind !== 'rect') return null;
  // The longer side is the way it slides.
  const upright = shape.height >= shape.width;
  const [x, y] = upright
    ? [shape.x, shape.y + (1 - value) * (shape.height - 4)]
    : [shape.x + value * (shape.width - 4), shape.y];
  const size = upright ? { width: shape.width, height: 4 } : { width: 4, height: shape.height };
  return <rect className="mark" x={x} y={y} rx={1} {...size} />;
}

/**
 * The outline of a control. `reach` makes it larger all round, so that small ones are targets of 24 pixels (WCAG 2.2,
 * 2.5.8).
 */
function ShapeMark({
  shape,
  className,
  reach = 0,
}: {
  readonly shape: Shape;
  readonly className: string;
  readonly reach?: number;
}) {
  switch (shape.kind) {
    case 'rect': {
      const { x, y, width, height, radius } = shape;
      return (
        <rect
          className={className}
          x={x - reach}
          y={y - reach}
          width={width + 2 * reach}
          height={height + 2 * reach}
          rx={radius}
        />
      );
    }
    case 'circle':
      return <circle className={className} cx={shape.cx} cy={shape.cy} r={shape.r + reach / 2} />;
    case 'path':
      return <path className={className} d={shape.d} />;
  }
}
