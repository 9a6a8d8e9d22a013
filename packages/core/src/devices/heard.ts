import type { Control, NativeOutput } from './control.ts';
import type { Device } from './device.ts';

/** What happened to something real that was heard: it went down or up, turned by steps, or is at a value from 0 to 1. */
export type HeardChange =
  | { readonly kind: 'down' }
  | { readonly kind: 'up' }
  | { readonly kind: 'turn'; readonly amount: number }
  | { readonly kind: 'value'; readonly value: number };

/** Something real that was used, by the name its source gives it; see `heardIdSchema`. */
export interface HeardInput {
  /** What was used, as its source calls it: `mouse/button/3`. */
  readonly id: string;
  readonly change: HeardChange;
}

/** What the engine is told of it. */
export type HeardUse = { readonly device: string; readonly control: string } & (
  | { readonly kind: 'down' }
  | { readonly kind: 'up' }
  | { readonly kind: 'turn'; readonly unit: 'detents'; readonly amount: number }
  | { readonly kind: 'position'; readonly value: number }
);

/** A control and the device it is on. */
export interface ControlOf {
  readonly device: Device;
  readonly control: Control;
}

/** The value from which a control that reports values counts as pressed. */
const PRESSED_FROM = 0.5;

/**
 * The control of the rig that something heard belongs to: the one that is said to be heard so; else, for a mouse
 * or a pen, the first device of its kind with a control that does by itself what was heard. Null for none.
 */
export function controlHeard(devices: readonly Device[], { id, change }: HeardInput): ControlOf | null {
  for (const device of devices) {
    const control = device.controls.find(({ heardAs }) => heardAs.includes(id));
    if (control) return { device, control };
  }
  const [source, part, number] = id.split('/');
  const kind = source === 'mouse' ? 'mouse' : source === 'pen' ? 'pen-tablet' : null;
  for (const device of devices.filter((each) => each.kind === kind)) {
    const control = device.controls.find((each) => doesByItself(each, part, Number(number), change));
    if (control) return { device, control };
  }
  return null;
}

/** What a browser tells of a mouse or pen names what it did, not which device of the rig did it. */
function doesByItself(
  { native, rotor }: Control,
  part: string | undefined,
  number: number,
  change: HeardChange,
): boolean {
  if (part === 'button') return native.press?.kind === 'button' && native.press.button === number;
  const axis = part === 'wheel' ? 'vertical' : part === 'tilt' ? 'horizontal' : null;
  const scrolls = (output: NativeOutput | undefined) => output?.kind === 'wheel' && output.axis === axis;
  if (change.kind !== 'turn' || axis === null) return false;
  if (rotor) return scrolls(native.clockwise);
  const press = native.press;
  return press?.kind === 'wheel' && scrolls(press) && Math.sign(press.ticks) === Math.sign(change.amount);
}

/** What a change that was heard of a control tells the engine; nothing where the control cannot be used so. */
export function usesHeard({ device, control }: ControlOf, change: HeardChange): readonly HeardUse[] {
  const at = { device: device.id, control: control.id };
  if (change.kind === 'down' || change.kind === 'up') {
    return control.canPress ? [{ ...at, kind: change.kind }] : [];
  }
  if (change.kind === 'turn') {
    if (control.rotor) return [{ ...at, kind: 'turn', unit: 'detents', amount: change.amount }];
    return control.canPress
      ? [
          { ...at, kind: 'down' },
          { ...at, kind: 'up' },
        ]
      : [];
  }
  if (control.spring) {
    const positions = control.spring.rates.length;
    return [{ ...at, kind: 'position', value: Math.round((change.value * 2 - 1) * positions) }];
  }
  if (control.slider) return [{ ...at, kind: 'position', value: change.value }];
  return control.canPress ? [{ ...at, kind: change.value >= PRESSED_FROM ? 'down' : 'up' }] : [];
}
