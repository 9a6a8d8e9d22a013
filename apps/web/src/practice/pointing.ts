import type { Place } from '@nimble-lever/core/setup';
import { feed } from '../app/engine/feed.ts';
import type { AppThunk, RootState } from '../app/store.ts';
import { pointerMoved, selectDesk } from './deskSlice.ts';

/** An element under the pointer, and the pointer's place as pointer events give it. */
export interface Pointed {
  readonly element: Element;
  readonly place: { readonly clientX: number; readonly clientY: number };
}

/** Marks the part of the page that is the desk's screen. */
const SURFACE = '[data-desk-surface]';

/** The desk's screen on the page. */
interface Screen {
  /** Where it is drawn: pixels of the page. */
  readonly left: number;
  readonly top: number;
  /** How large it is by itself: pixels of the desk. */
  readonly width: number;
  readonly height: number;
  /** How large one of its pixels is drawn: where there is little room the desk is drawn small. */
  readonly scale: number;
}

/** The desk's screen; null where no view shows it. */
function screen(): Screen | null {
  const element = document.querySelector<HTMLElement>(SURFACE);
  if (!element) return null;
  const { left, top, width } = element.getBoundingClientRect();
  const { offsetWidth, offsetHeight } = element;
  return {
    left,
    top,
    width: offsetWidth,
    height: offsetHeight,
    scale: offsetWidth > 0 ? width / offsetWidth : 1,
  };
}

/** The part of a window in which the pointer does something: a canvas rather than the frame around it. */
function mainOf(window: Element): Element {
  return window.querySelector('[data-pointer]') ?? window;
}

/** What of the page a place on the desk's screen is, where a window is there: what is in it, whatever lies before it. */
function elementAt(window: Element, clientX: number, clientY: number): Element | undefined {
  return document.elementsFromPoint(clientX, clientY).find((element) => window.contains(element));
}

/**
 * A place that was given, in a program's window; null where the window isn't open, so that there is no place in it. Counted
 * from the desk's screen, from a corner of the window with its frame, or from the pointer.
 */
export function placeIn(window: Element, place: Place, state: RootState): Pointed | null {
  const main = mainOf(window);
  const frame = (window.closest('[data-program]') ?? window).getBoundingClientRect();
  if (frame.width === 0 || frame.height === 0) return null;
  const [originX, originY] = originOf(place, frame, pointerPlace(main, state));
  const scale = screen()?.scale ?? 1;
  const at = { clientX: originX + place.x * scale, clientY: originY + place.y * scale };
  return { element: elementAt(window, at.clientX, at.clientY) ?? main, place: at };
}

function originOf(
  { from, corner }: Place,
  { left, top, right, bottom }: DOMRect,
  pointer: readonly [x: number, y: number],
): readonly [x: number, y: number] {
  if (from === 'pointer') return pointer;
  if (from === 'screen') {
    const desk = screen();
    return [desk?.left ?? 0, desk?.top ?? 0];
  }
  return [corner.endsWith('left') ? left : right, corner.startsWith('top') ? top : bottom];
}

/** Where the desk's pointer is on the page; the middle of what is pointed at as long as it was not moved. */
function pointerPlace(main: Element, state: RootState): readonly [x: number, y: number] {
  const { pointer } = selectDesk(state);
  const desk = screen();
  if (desk && pointer) return [desk.left + pointer.x * desk.scale, desk.top + pointer.y * desk.scale];
  const { left, top, width, height } = main.getBoundingClientRect();
  return [left + width / 2, top + height / 2];
}

/** What is under the desk's pointer in a window; where that is elsewhere, the middle of the window's main part. */
export function pointedAt(window: Element, state: RootState): Pointed | null {
  const main = mainOf(window);
  const [clientX, clientY] = pointerPlace(main, state);
  const under = elementAt(window, clientX, clientY);
  if (under) return { element: under, place: { clientX, clientY } };
  const { left, top, width, height } = main.getBoundingClientRect();
  if (width === 0 || height === 0) return null;
  return { element: main, place: { clientX: left + width / 2, clientY: top + height / 2 } };
}

/** Where a place on the page is on the desk, as its pointer is kept. */
export function onSurface({ clientX, clientY }: Pointed['place']): { x: number; y: number } | null {
  const desk = screen();
  return desk && { x: (clientX - desk.left) / desk.scale, y: (clientY - desk.top) / desk.scale };
}

/** Moves the desk's pointer, tells the engine, and lets the program in front follow it. */
export const movePointer =
  (dx: number, dy: number): AppThunk =>
  (dispatch, getState) => {
    const desk = screen();
    if (!desk || (dx === 0 && dy === 0)) return;
    const from = selectDesk(getState()).pointer ?? { x: desk.width / 2, y: desk.height / 2 };
    const kept = (value: number, most: number) => Math.max(0, Math.min(most, value));
    const to = { x: kept(from.x + dx, desk.width), y: kept(from.y + dy, desk.height) };
    dispatch(pointerMoved(to));
    dispatch(feed({ kind: 'move', dx, dy }));
    const { active } = selectDesk(getState());
    const window = active && document.querySelector(`[data-program="${CSS.escape(active)}"] [data-keys]`);
    if (!window) return;
    const pointed = pointedAt(window, getState());
    const moved = { ...pointed?.place, movementX: dx, movementY: dy };
    pointed?.element.dispatchEvent(
      new PointerEvent('pointermove', { bubbles: true, pointerId: 1, ...moved }),
    );
  };
