import type { InputSource, OnHeard, Where } from './source.ts';
import { WORDS } from './words.ts';

/** The bits of `PointerEvent.buttons` and the button each stands for (W3C Pointer Events, button values). */
const BUTTONS: readonly (readonly [bit: number, button: number])[] = [
  [1, 0],
  [2, 2],
  [4, 1],
  [8, 3],
  [16, 4],
  [32, 5],
];

/** Buttons of pointers of one kind, heard by what changes in `buttons`: so that chords are heard too. */
function buttonsOf(type: 'mouse' | 'pen', names: Readonly<Record<number, string>>, onHeard: OnHeard) {
  let before = 0;
  return (event: PointerEvent) => {
    if (event.pointerType !== type) return;
    for (const [bit, button] of BUTTONS) {
      if (((before ^ event.buttons) & bit) === 0) continue;
      const kind = (event.buttons & bit) === 0 ? 'up' : 'down';
      const name = names[button] ?? WORDS.button(button + 1);
      onHeard({ id: `${type}/button/${button}`, name, change: { kind } });
    }
    before = event.buttons;
  };
}

/**
 * All that Pointer Events tell of a button (W3C Pointer Events, level 3); a pen that leaves the surface ends
 * in `pointercancel`.
 */
const POINTER_EVENTS = ['pointerdown', 'pointermove', 'pointerup', 'pointercancel'] as const;

/** `MouseEvent.button` from which on buttons are of no use to a page: those would only leave it. */
const THUMB_BUTTONS = 3;

/** What a mouse button does by itself comes with one of these. */
const BUTTON_EVENTS = ['mousedown', 'mouseup', 'auxclick', 'contextmenu'] as const;

/** Back and forward of a real mouse do not leave the page while they are pressed over a part of it. */
export function keepThumbButtons(place: EventTarget, signal: AbortSignal): void {
  const keep = (event: Event) => {
    if ((event as MouseEvent).button >= THUMB_BUTTONS) event.preventDefault();
  };
  for (const kind of BUTTON_EVENTS) place.addEventListener(kind, keep, { signal, capture: true });
}

/**
 * The real mouse, over a part of the page: buttons, wheel and tilt. What it does there by itself is kept from happening;
 * where it is shared with the page, only what would scroll by itself or leave the page.
 */
export function mouseSource(where: () => Where | null, shared = false): InputSource {
  return {
    id: 'mouse',
    name: WORDS.mouse,
    isThere: () => 'PointerEvent' in window,
    asks: false,
    listen: async (onHeard) => {
      const place = where() ?? window;
      const ended = new AbortController();
      const on = { signal: ended.signal, capture: true, passive: shared } as const;
      const onPointer = buttonsOf('mouse', WORDS.mouseButtons, onHeard);
      for (const kind of POINTER_EVENTS) place.addEventListener(kind, onPointer as EventListener, on);
      // A button let go elsewhere comes up all the same.
      window.addEventListener('pointerup', onPointer, on);
      const keep = (event: Event) => {
        const { button } = event as MouseEvent;
        const isPages = button < THUMB_BUTTONS && !(button === 1 && event.type === 'mousedown');
        if (!shared || !isPages) event.preventDefault();
      };
      for (const kind of BUTTON_EVENTS) {
        place.addEventListener(kind, keep, { ...on, passive: false });
      }
      place.addEventListener(
        'wheel',
        (event) => {
          const { deltaX, deltaY, isTrusted } = event as WheelEvent;
          if (!isTrusted) return;
          if (!shared) event.preventDefault();
          if (deltaY !== 0) {
            onHeard({
              id: 'mouse/wheel',
              name: WORDS.wheel,
              change: { kind: 'turn', amount: -Math.sign(deltaY) },
            });
          }
          if (deltaX !== 0) {
            onHeard({
              id: 'mouse/tilt',
              name: WORDS.tilt,
              change: { kind: 'turn', amount: Math.sign(deltaX) },
            });
          }
        },
        on,
      );
      return () => ended.abort();
    },
  };
}

/** A real pen over a part of the page: tip, switches, eraser, hovering, pressure. */
export function penSource(where: () => Where | null): InputSource {
  return {
    id: 'pen',
    name: WORDS.pen,
    isThere: () => 'PointerEvent' in window,
    asks: false,
    listen: async (onHeard) => {
      const place = where() ?? window;
      const ended = new AbortController();
      const on = { signal: ended.signal, capture: true } as const;
      const onButtons = buttonsOf('pen', WORDS.penButtons, onHeard);
      let hovers = false;
      let pressure = 0;
      const onPointer = (given: Event) => {
        const event = given as PointerEvent;
        if (event.pointerType !== 'pen') return;
        const away = event.type === 'pointerleave' || event.type === 'pointercancel';
        const over = !away && (event.buttons & 1) === 0;
        if (over !== hovers) {
          hovers = over;
          onHeard({ id: 'pen/hover', name: WORDS.hover, change: { kind: over ? 'down' : 'up' } });
        }
        onButtons(event);
        if (event.pressure === pressure) return;
        pressure = event.pressure;
        onHeard({ id: 'pen/pressure', name: WORDS.pressure, change: { kind: 'value', value: pressure } });
      };
      for (const kind of [...POINTER_EVENTS, 'pointerleave']) place.addEventListener(kind, onPointer, on);
      return () => ended.abort();
    },
  };
}
