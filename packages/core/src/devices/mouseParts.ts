import { type Control, controlOf } from './control.ts';
import type { Shape } from './shape.ts';

/** What a button does by itself. */
type Press = NonNullable<Control['native']['press']>;

/** A button of a mouse; `press` is what it does by itself, if anything. */
export function mouseButton(id: string, name: string, shape: Shape, press: Press | null): Control {
  return controlOf({ id, name, kind: 'button', shape, canPress: true, native: press ? { press } : {} });
}

/** What a pointer button does by itself (W3C `MouseEvent.button`). */
export function pointerButton(button: number): Press {
  return { kind: 'button', button };
}

/** The wheel between the buttons: it scrolls, and presses the middle button. */
export function scrollWheel(shape: Shape): Control {
  return controlOf({
    id: 'wheel',
    name: 'Wheel',
    kind: 'wheel',
    shape,
    canPress: true,
    rotor: { kind: 'detented', detentDegrees: 15, speedUp: null },
    native: {
      press: pointerButton(1),
      clockwise: { kind: 'wheel', ticks: 1, axis: 'vertical' },
      anticlockwise: { kind: 'wheel', ticks: -1, axis: 'vertical' },
    },
  });
}
