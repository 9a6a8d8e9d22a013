import type { DistributiveOmit } from '../../distributiveOmit.ts';
import { KEY_BY_USAGE } from '../../keys/index.ts';
import type { Control } from '../control.ts';
import type { Descriptor, Field } from './descriptor.ts';
import { PAGES, type Usage, usageIdName, usageName, VENDOR_PAGES } from './usages.ts';

/** What a control of a described device is made of. */
export interface ControlPart {
  readonly kind: Control['kind'];
  readonly name: string;
  /** What its control's id is made of: the same for ever, as devices that were added and what is heard go by it. */
  readonly idName: string;
  readonly usage: Usage;
  /** Steps a whole turn has; for what turns. */
  readonly detents: number | null;
  /** Positions each way; for a ring that springs back. */
  readonly positions: number | null;
  /** It belongs to a mouse or pointer: its buttons are the system's pointer buttons. */
  readonly isPointers: boolean;
}

/** How a value of a report becomes an event. */
export type Source = { readonly field: Field; readonly at: number } & (
  | { readonly kind: 'press' | 'turn' | 'slide' | 'spring'; readonly part: ControlPart }
  /** A turn that is reported as a place on the circle. */
  | { readonly kind: 'circle'; readonly part: ControlPart }
  /** Up, right, down, left. */
  | { readonly kind: 'hat'; readonly parts: readonly ControlPart[] }
  /** By logical value from the field's first; null for usages that are no control. */
  | { readonly kind: 'array'; readonly parts: readonly (ControlPart | null)[] }
  | { readonly kind: 'move'; readonly axis: 'x' | 'y'; readonly relative: boolean }
  | { readonly kind: 'in-range' }
);

/** The most controls one array may bring: a whole keyboard's worth. Of a wider one only keys that are known are. */
const MOST_IN_ARRAY = 256;
/** The longest range an array may have. */
const WIDEST_ARRAY = 0x1000;
/** A wheel or knob that says nothing of its resolution has this many steps to a turn. */
const USUAL_DETENTS = 24;
/** More steps to a turn than that are no detents: the smallest that a hand feels is half a degree. */
const MOST_DETENTS = 720;
/** An absolute range that lies evenly round nought and is this narrow belongs to a ring that springs back. */
const MOST_POSITIONS = 20;

/** Usages of the generic desktop page (HID Usage Tables 1.5, section 4). */
const DESKTOP = { pointer: 0x01, mouse: 0x02, x: 0x30, y: 0x31, dial: 0x37, wheel: 0x38, hat: 0x39 } as const;
/** Usages of the digitizers page (HID Usage Tables 1.5, section 16). */
const DIGITIZER = {
  pen: 0x02,
  stylus: 0x20,
  puck: 0x21,
  finger: 0x22,
  inRange: 0x32,
  invert: 0x3c,
  tip: 0x42,
  barrel: 0x44,
  eraser: 0x45,
  barrel2: 0x5a,
} as const;
/**
 * Usages that tell how a pen is held or how hard it is pressed, which finger it is, and when: they belong to the pen or
 * finger, and are no controls of their own (section 16).
 */
const ABOUT_CONTACT: readonly number[] = [
  ...[
    0x30, 0x31, 0x33, 0x34, 0x35, 0x36, 0x37, 0x38, 0x3b, 0x3d, 0x3e, 0x3f, 0x40, 0x41, 0x46, 0x47, 0x48,
    0x49,
  ],
  ...[0x51, 0x52, 0x53, 0x54, 0x55, 0x56, 0x57, 0x5b],
];
/**
 * ErrorRollOver: more keys are down than the keyboard can tell, so that the whole array says nothing (HID Usage
 * Tables 1.5, section 10).
 */
const ROLLED_OVER = 0x01;

/** What each value of a descriptor's input reports is for, in the order of the fields. */
export function sourcesOf({ fields }: Descriptor): readonly Source[] {
  return fields.flatMap((field, at): Source[] => {
    if (field.report !== 'input' || field.flags.constant || field.bitSize > 32) return [];
    const source = field.flags.variable ? variableSource(field) : arraySource(field);
    return source ? [{ ...source, field, at } as Source] : [];
  });
}

/** A source before it is known which field it is in. */
type Bare = DistributiveOmit<Source, 'field' | 'at'>;

/** A part named after its usage. */
function part(kind: Control['kind'], usage: Usage, more: Partial<ControlPart> = {}): ControlPart {
  const idName = more.name ?? usageIdName(usage);
  return {
    kind,
    usage,
    name: usageName(usage),
    idName,
    detents: null,
    positions: null,
    isPointers: false,
    ...more,
  };
}

/** What a value is for; one that can only ever be the same says nothing. */
function variableSource(field: Field): Bare | null {
  const { usage } = field;
  if (!usage || field.logicalMax <= field.logicalMin) return null;
  if (usage.page === PAGES.desktop) return desktopSource(field, usage);
  if (usage.page === PAGES.digitizer) return digitizerSource(field, usage);
  if (usage.page === PAGES.led || usage.page === PAGES.haptics) return null;
  return plainSource(field, usage);
}

/** One bit is a key; a relative number turns; an absolute one slides. */
function plainSource(field: Field, usage: Usage): Bare | null {
  const isSwitch = field.logicalMax - field.logicalMin === 1 && !field.flags.relative;
  if (isSwitch) {
    const kind = usage.page === PAGES.button ? 'button' : 'key';
    return { kind: 'press', part: part(kind, usage, { isPointers: isPointers(field) }) };
  }
  if (field.flags.relative) return { kind: 'turn', part: turning('knob', field, usage) };
  // What a vendor keeps in its bytes is told to nobody.
  if (usage.page >= VENDOR_PAGES) return null;
  return { kind: 'slide', part: part('slider', usage) };
}

/** Whether a field belongs to a mouse or a pointer. */
function isPointers({ path }: Field): boolean {
  return path.some(
    ({ page, id }) => page === PAGES.desktop && (id === DESKTOP.mouse || id === DESKTOP.pointer),
  );
}

/** Whether a field belongs to a pen or a puck, whose place on a tablet is the pointer's. */
function isPens({ path }: Field): boolean {
  const pens: readonly number[] = [DIGITIZER.pen, DIGITIZER.stylus, DIGITIZER.puck];
  return path.some(({ page, id }) => page === PAGES.digitizer && pens.includes(id));
}

/** Whether a field belongs to a finger: it lands anywhere, and the system makes of it what it will. */
function isFingers({ path }: Field): boolean {
  return path.some(({ page, id }) => page === PAGES.digitizer && id === DIGITIZER.finger);
}

/** A part that turns, with the steps its unit says it has. */
function turning(kind: Control['kind'], field: Field, usage: Usage): ControlPart {
  return part(kind, usage, { detents: detentsOf(field) ?? USUAL_DETENTS });
}

/** Steps to a whole turn, where the field's unit is an angle. */
function detentsOf({ unit, logicalMin, logicalMax, physicalMin, physicalMax }: Field): number | null {
  const whole = unit.words === '°' ? 360 : unit.words === 'rad' ? 2 * Math.PI : null;
  const physical = (physicalMax - physicalMin) * unit.factor;
  if (whole === null || physical <= 0) return null;
  return Math.max(1, Math.round((whole * (logicalMax - logicalMin)) / physical));
}

/** Whether what turns counts finer than detents can be. */
export function isFine(detents: number): boolean {
  return detents > MOST_DETENTS;
}

/** Generic desktop controls (HID Usage Tables, page 01). */
function desktopSource(field: Field, usage: Usage): Bare | null {
  const { relative, wrap } = field.flags;
  if (usage.id === DESKTOP.hat) return { kind: 'hat', parts: hatParts(usage) };
  if (usage.id === DESKTOP.x || usage.id === DESKTOP.y) {
    if (isFingers(field)) return null;
    // Sticks and six-axis devices have the same axes, and move nothing by themselves.
    if (!isPointers(field) && !isPens(field)) return plainSource(field, usage);
    return { kind: 'move', axis: usage.id === DESKTOP.x ? 'x' : 'y', relative };
  }
  if (usage.id === DESKTOP.wheel && relative) return { kind: 'turn', part: turning('wheel', field, usage) };
  if (usage.id !== DESKTOP.dial && usage.id !== DESKTOP.wheel) return plainSource(field, usage);
  if (relative) return { kind: 'turn', part: turning('dial', field, usage) };
  if (wrap) {
    const detents = field.logicalMax - field.logicalMin + 1;
    return { kind: 'circle', part: part('ring', usage, { name: 'Ring', detents }) };
  }
  const even = field.logicalMin === -field.logicalMax && field.logicalMax <= MOST_POSITIONS;
  if (even)
    return {
      kind: 'spring',
      part: part('shuttle', usage, { name: 'Shuttle ring', positions: field.logicalMax }),
    };
  return plainSource(field, usage);
}

/** A hat is four keys: two are down between their places. */
function hatParts(usage: Usage): readonly ControlPart[] {
  return ['up', 'right', 'down', 'left'].map((way) => part('key', usage, { name: `Hat ${way}` }));
}

/** Digitizers (HID Usage Tables, page 0D). */
function digitizerSource(field: Field, usage: Usage): Bare | null {
  const pen = field.path.some(
    ({ page, id }) => page === PAGES.digitizer && (id === DIGITIZER.pen || id === DIGITIZER.stylus),
  );
  if (usage.id === DIGITIZER.inRange) return { kind: 'in-range' };
  if (usage.id === DIGITIZER.tip) {
    const tip = pen ? part('pen-tip', usage, { name: 'Pen tip' }) : part('cell', usage, { name: 'Contact' });
    return { kind: 'press', part: tip };
  }
  if (usage.id === DIGITIZER.barrel)
    return { kind: 'press', part: part('pen-switch', usage, { name: 'Barrel switch' }) };
  if (usage.id === DIGITIZER.barrel2) {
    return { kind: 'press', part: part('pen-switch', usage, { name: 'Second barrel switch' }) };
  }
  if (usage.id === DIGITIZER.eraser)
    return { kind: 'press', part: part('pen-tip', usage, { name: 'Eraser' }) };
  if (usage.id === DIGITIZER.invert || ABOUT_CONTACT.includes(usage.id)) return null;
  return plainSource(field, usage);
}

/** The usages an array reports; wide ranges that nobody would draw are left out. */
function arraySource({ usages }: Field): Bare | null {
  const parts: (ControlPart | null)[] = [];
  const length = usages.reduce((sum, { from, to }) => sum + to - from + 1, 0);
  if (length > WIDEST_ARRAY) return null;
  for (const { page, from, to } of usages) {
    for (let id = from; id <= to; id++) {
      const known = KEY_BY_USAGE.has((page << 16) | id);
      // Keyboards leave places in their ranges free; of wide ranges nobody would draw all.
      const mustBeKnown = page === PAGES.keyboard || length > MOST_IN_ARRAY;
      const none = id === 0 || (mustBeKnown && !known);
      parts.push(none ? null : part(page === PAGES.button ? 'button' : 'key', { page, id }));
    }
  }
  return parts.some(Boolean) ? { kind: 'array', parts } : null;
}

/** Whether an array's values say that more keys are down than it can tell (keyboard page, usage 01). */
export function isRolledOver({ usages, logicalMin }: Field, values: readonly number[]): boolean {
  const [first] = usages;
  if (first?.page !== PAGES.keyboard) return false;
  return values.some((value) => first.from + value - logicalMin === ROLLED_OVER);
}
