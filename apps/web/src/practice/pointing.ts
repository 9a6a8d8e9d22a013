import type { Place } from '@nimble-lever/core/setup';
import { feed } from '../app/engine/feed.ts';
import type { AppThunk, RootState } from '../app/store.ts';
import { pointerMoved, selectDesk } from './deskSlice.ts';

/** An element under the pointer, and the pointer's place as pointer events give it. */
interface Pointed {
  readonly element: Element;
  readonly place: { readonly clientX: number; readonly clientY: number };
}

/** Marks the part of the page that is the desk's screen. */
const SURFACE = '[data-desk-surface]';

/** The desk's screen on the page; null while Rehearse is not shown. */
function surfaceBox(): DOMRect | null {
  return document.querySelector(SURFACE)?.getBoundingClientRect() ?? null;
}

/** The part of a window in which the pointer does something: a canvas rather than the frame around it. */
function mainOf(window: Element): Element {
  return window.querySelector('[data-pointer]') ?? window;
}

/** A place that was given, in a program's window; null where the window isn't open, so that there is no place in it. */
export function placeIn(window: Element, { from, x, y }: Place): Pointed | null {
  const element = mainOf(window);
  const { left, top, width, height } = element.getBoundingClientRect();
  if (width === 0 || height === 0) return null;
  const [originX, originY] =
    from === 'window' ? [left, top] : from === 'screen' ? [0, 0] : [left + width / 2, top + height / 2];
  return { element, place: { clientX: originX + x, clientY: originY + y } };
}

/** What is under the desk's pointer in a window; where that is elsewhere, the middle of the window's main part. */
export function pointedAt(window: Element, state: RootState): Pointed | null {
  const desk = selectDesk(state);
  const box = surfaceBox();
  if (box && desk.pointer) {
    const [clientX, clientY] = [box.left + desk.pointer.x, box.top + desk.pointer.y];
    const under = document.elementsFromPoint(clientX, clientY).find((element) => window.contains(element));
    if (under) return { element: under, place: { clientX, clientY } };
  }
  return placeIn(window, { from: 'pointer', x: 0, y: 0 });
}

/** Moves the desk's pointer, tells the engine, and lets the program in front follow it. */
export const movePointer =
  (dx: number, dy: number): AppThunk =>
  (dispatch, getState) => {
    const box = surfaceBox();
    if (!box || (dx === 0 && dy === 0)) return;
    const from = selectDesk(getState()).pointer ?? { x: box.width / 2, y: box.height / 2 };
    const kept = (value: number, most: number) => Math.max(0, Math.min(most, value));
    const to = { x: kept(from.x + dx, box.width), y: kept(from.y + dy, box.height) };
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
