import { type Control, triggersOf } from '@nimble-lever/core/devices';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useEffect, useRef } from 'react';
import { acrossByKey, isPlaced, placeAcross, placeAt, placeByKey } from './positionGestures.ts';
import { alongStrip, angleBetween, centreOf, isStrip, wheelTurn } from './rotorGestures.ts';
import { ShapeMark, SliderMark, StripMark, XyMark } from './ShapeMark.tsx';

/** How a finger can be done. */
const ENDS = ['pointerup', 'pointercancel'] as const;

/** What the hand does to a drawn control. Turns are signed: clockwise, or away from the person, is positive. */
export interface DeviceHandlers {
  onDown(control: Control): void;
  onUp(control: Control): void;
  onTurn(control: Control, unit: 'degrees' | 'detents', amount: number): void;
  /** A spring ring or a slider is at a place, of its one way or of its way across; a ring let go is at 0. */
  onPosition(control: Control, value: number, axis?: 'across'): void;
  /** The hand is put on a control that turns, or taken off it. */
  onTouch?: (control: Control, touches: boolean) => void;
  /** The hand moves while it presses a control: pixels. */
  onMove?: (dx: number, dy: number) => void;
}

/** One control of the drawing, with its own part of how the device is. */
interface MarkProps extends DeviceHandlers {
  readonly control: Control;
  /** What it is called to someone who does not see it. */
  readonly label: string;
  /** It is down, or was just used. */
  readonly lit: boolean;
  readonly selected: boolean;
  /** Whether Tab comes here: to one control of a drawing. */
  readonly reachable: boolean;
  /** It got the keys. */
  readonly onReached: (control: string) => void;
  /** How far it has been turned: degrees. */
  readonly angle: number;
  /** Where it is: −7 to 7 for a ring, 0 to 1 for a slider. */
  readonly value: number;
  /** Where one is that slides two ways, from left to right: 0 to 1. */
  readonly across: number;
  /** What is drawn on it. */
  readonly face: ReactNode;
}

/**
 * A control that can be pressed, turned, pushed and moved by pointer and by keys; one focus stop, whatever it can do.
 */
export function ControlMark(props: MarkProps) {
  const { control, label, lit, selected, angle, value, across } = props;
  const { onDown, onUp, onTurn, onTouch, onPosition, onMove } = props;
  const element = useRef<SVGGElement>(null);
  // A phrase is said by pressing it.
  const presses = control.canPress || control.phrase !== null;
  // Keys come up elsewhere when the focus moves; what was pressed here is then let go here.
  const keyHeld = useRef(false);
  const drag = useRef<{ pointer: number; x: number; y: number; pressing: boolean } | null>(null);
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

  // A page that is left takes its cells along, also one that is down: it comes up when the finger does.
  const goes = useRef(onUp);
  goes.current = onUp;
  const own = useRef(control);
  own.current = control;
  useEffect(
    () => () => {
      const from = drag.current;
      if (keyHeld.current) goes.current(own.current);
      if (!from?.pressing) return;
      const up = goes.current;
      const end = ({ pointerId }: globalThis.PointerEvent) => {
        if (pointerId !== from.pointer) return;
        for (const each of ENDS) document.removeEventListener(each, end, true);
        up(own.current);
      };
      for (const each of ENDS) document.addEventListener(each, end, true);
    },
    [],
  );

  const onPointerDown = (event: PointerEvent<SVGGElement>) => {
    // Of several fingers on one control the first is the one that counts.
    if (event.button !== 0 || drag.current) return;
    // The drag goes on outside the drawing, and its end is heard wherever it is.
    event.currentTarget.setPointerCapture(event.pointerId);
    // A ring with a button in it: the button is pressed, the ring around it turned.
    const onCap = event.target instanceof Element && event.target.closest('[data-cap]') !== null;
    const pressing = presses && (control.rotor === null || control.cap === null || onCap);
    drag.current = { pointer: event.pointerId, x: event.clientX, y: event.clientY, pressing };
    if (turns) onTouch?.(control, true);
    if (pressing) onDown(control);
    if (control.slider) onPosition(control, placeAt(control, faceOf(event), drag.current, drag.current));
    if (control.across) onPosition(control, placeAcross(faceOf(event), drag.current), 'across');
  };
  const onPointerMove = (event: PointerEvent<SVGGElement>) => {
    const from = drag.current;
    if (from?.pointer !== event.pointerId) return;
    const to = { x: event.clientX, y: event.clientY };
    if (isPlaced(control)) {
      const next = placeAt(control, faceOf(event), from, to);
      if (next !== value) onPosition(control, next);
    }
    if (control.across) {
      const next = placeAcross(faceOf(event), to);
      if (next !== across) onPosition(control, next, 'across');
    }
    if (from.pressing) {
      drag.current = { ...from, ...to };
      onMove?.(to.x - from.x, to.y - from.y);
      return;
    }
    if (!control.rotor) return;
    const degrees = isStrip(control)
      ? alongStrip(faceOf(event), from, to)
      : angleBetween(centreOf(event.currentTarget), from, to);
    if (degrees === 0) return;
    drag.current = { ...from, ...to };
    onTurn(control, 'degrees', degrees);
  };
  const onPointerEnd = ({ pointerId }: PointerEvent<SVGGElement>) => {
    const from = drag.current;
    if (from?.pointer !== pointerId) return;
    drag.current = null;
    if (from.pressing) onUp(control);
    if (turns) onTouch?.(control, false);
    // A spring goes back by itself when the hand lets go.
    if (control.spring) onPosition(control, 0);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    // Shortcuts are the page's.
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const aside = control.across ? acrossByKey(across, event) : null;
    if (aside !== null) {
      event.preventDefault();
      event.stopPropagation();
      onPosition(control, aside, 'across');
      return;
    }
    const place = isPlaced(control) ? placeByKey(control, value, event.key) : null;
    if (place !== null) {
      event.preventDefault();
      event.stopPropagation();
      onPosition(control, place);
      return;
    }
    const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
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
    if (control.spring && /^Arrow(Up|Down)$/.test(event.key) && value !== 0) onPosition(control, 0);
  };

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: a button, or where nothing can be done with it a picture.
    <g
      ref={element}
      role={triggersOf(control).length > 0 ? 'button' : 'img'}
      tabIndex={props.reachable ? 0 : -1}
      aria-label={label}
      data-control={control.id}
      className={`control${lit ? ' lit' : ''}${selected ? ' selected' : ''}${looks(control)}`}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerEnd}
      onPointerCancel={onPointerEnd}
      onKeyDown={onKeyDown}
      onKeyUp={onKeyUp}
      onFocus={() => props.onReached(control.id)}
      onBlur={onKeyEnd}
    >
      <ShapeMark shape={control.shape} className="reach" reach={4} />
      <ShapeMark shape={control.shape} className="face" />
      {props.face}
      {control.cap && (
        <g data-cap="">
          <ShapeMark shape={control.cap} className="cap" />
        </g>
      )}
      {control.slider && !control.across && <SliderMark shape={control.shape} value={value} />}
      {control.across && <XyMark shape={control.shape} value={value} across={across} />}
      {isStrip(control) && <StripMark shape={control.shape} angle={angle} />}
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

/** How a cell looks that is not drawn as a key. */
function looks({ kind, cell }: Control): string {
  if (kind === 'words' || kind === 'picture') return ' looked-at';
  return cell?.seeThrough ? ' see-through' : '';
}

/** The drawn outline that a pointer is measured against. */
function faceOf({ currentTarget }: PointerEvent<SVGGElement>): Element {
  return currentTarget.querySelector('.face') ?? currentTarget;
}
