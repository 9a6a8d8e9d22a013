import type { Trigger } from '../../devices/index.ts';
import type { PageChange } from '../action.ts';
import { acting, type Behaviour, type Binding, type Face, type Guard, NO_FACE, slotKey } from '../binding.ts';
import { BASE_LAYER, type Profile } from '../setup.ts';

/** A control and the way it is used, in three words. */
export type Place = readonly [device: string, control: string, trigger: Trigger];
/** What the demo sets in a cell. */
export type Row = readonly [
  place: Place,
  behaviour: Behaviour,
  /** On a layer or a page instead of the base layer. */
  extra?: { face?: Face; note?: string; layer?: string },
];

/** Where controls are: device, control, trigger. */
export const turnOn: Place = ['bench-dial', 'dial', 'clockwise'];
/** Places and behaviours under short names, so that the demo reads as the table it is. */
export const turnBack: Place = ['bench-dial', 'dial', 'anticlockwise'];
export const dialPress: Place = ['bench-dial', 'dial', 'press'];
export const mouse = (control: string, trigger: Trigger = 'press'): Place => [
  'pocket-mouse',
  control,
  trigger,
];
export const padKey = (number: number): Place => ['twelve-pad', `key-${number}`, 'press'];
export const knob = (which: 'upper' | 'lower', trigger: Trigger): Place => [
  'twelve-pad',
  `${which}-knob`,
  trigger,
];

export const at =
  (device: string) =>
  (control: string, trigger: Trigger = 'press'): Place => [device, control, trigger];
export const tablet = at('pen-tablet');
export const shuttle = at('shuttle');
export const sixKey = (number: number): Place => ['six-pad', `key-${number}`, 'press'];
export const pedal = at('three-pedals');
export const panel = at('wall-panel');

/** What they do: a command while pressed, a command tapped, one that asks for more… */
export const command = (id: string): Behaviour => acting({ kind: 'command', command: id }, 'follow');
export const tap = (id: string): Behaviour => acting({ kind: 'command', command: id }, 'tap');
export const guarded = (id: string, guard: Guard): Behaviour => ({
  ...acting({ kind: 'command', command: id }, 'follow'),
  guard,
});
/** A fader that sends its value to a program's OSC address (Open Sound Control 1.0). */
export const fader = (address: string): Behaviour =>
  acting({ kind: 'message', message: { protocol: 'osc', address, low: 0, high: 1 } }, 'tap');
/** Opens a folder, or goes about the pages of the control's own device or another. */
export const page = (change: PageChange, to: string | null = null, device: string | null = null): Behaviour =>
  acting({ kind: 'page', change, page: to, device }, 'tap');
export const wheel = (ticks: number): Behaviour => acting({ kind: 'wheel', ticks, axis: 'vertical' }, 'tap');

export const face = (label: string, icon: string | null, colour: Face['colour']): Face => ({
  ...NO_FACE,
  label,
  icon,
  colour,
});

/** A profile of rows; each in the base layer unless it says another. */
export const profile = (id: string, program: string | null, rows: readonly Row[]): Profile => ({
  id,
  name: null,
  program,
  rules: [],
  basedOn: null,
  bindings: Object.fromEntries(
    rows.map(([[device, control, trigger], behaviour, extra]): [string, Binding] => [
      slotKey(extra?.layer ?? BASE_LAYER, device, control, trigger),
      { behaviour, face: extra?.face ?? null, note: extra?.note ?? null },
    ]),
  ),
});
