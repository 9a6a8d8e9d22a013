import type { DescribedDevice } from './describedDevice.ts';
import type { Descriptor, Field } from './descriptor.ts';
import { powerOfTwo, signedOf } from './items.ts';
import { type ControlPart, isFine, isRolledOver, type Source } from './sources.ts';

/** What a report says happened, as the engine takes it; the time is added by whoever heard the report. */
export type HeardEvent =
  | { readonly kind: 'down' | 'up'; readonly device: string; readonly control: string }
  | {
      readonly kind: 'turn';
      readonly device: string;
      readonly control: string;
      readonly unit: 'detents' | 'degrees';
      readonly amount: number;
    }
  | { readonly kind: 'position'; readonly device: string; readonly control: string; readonly value: number }
  | { readonly kind: 'move'; readonly dx: number; readonly dy: number };

/** What was reported last, by source: numbers, and for arrays and hats which of their controls are down. */
export interface HeardState {
  /** By field and place; null for values outside the logical range, which mean "nothing" (HID 1.11, 6.2.2.5). */
  readonly values: readonly (number | null)[];
  /** Ids of controls that are down. */
  readonly down: ReadonlySet<string>;
}

/** Before the first report. */
export const NOTHING_HEARD: HeardState = { values: [], down: new Set() };

/** A device made ready to read reports. */
export interface Decoder {
  readonly device: string;
  /** Whether reports begin with their number (HID 1.11, 5.6). */
  readonly numbered: boolean;
  /** By report id. */
  readonly reports: ReadonlyMap<number, readonly Ready[]>;
}

/** A source made ready for reports: which bits it has, and which control each value is for. */
interface Ready {
  readonly source: Source;
  /** Of the first bit. */
  readonly place: number;
  /** The control of each part, in the source's order; null for none. */
  readonly controls: readonly (string | null)[];
}

/** A pen's way across its tablet, in pixels of movement. */
const TABLET_PIXELS = 1500;

/** Makes a decoder for a described device. */
export function decoderFor(descriptor: Descriptor, { device, sources, ids }: DescribedDevice): Decoder {
  const reports = new Map<number, Ready[]>();
  // Whether a pen is in range must be known before its place is read.
  const inOrder = [...sources.entries()].toSorted(([, a], [, b]) => rangeFirst(a) - rangeFirst(b));
  for (const [place, source] of inOrder) {
    const list = reports.get(source.field.reportId) ?? [];
    list.push({
      source,
      place,
      controls: partsIn(source).map((part) => (part ? (ids.get(part) ?? null) : null)),
    });
    reports.set(source.field.reportId, list);
  }
  return { device: device.id, numbered: descriptor.numbered, reports };
}

/** Array values count from the logical minimum (HID 1.11, 6.2.2.5). */
function rangeFirst({ kind }: Source): number {
  return kind === 'in-range' ? 0 : 1;
}

/** The controls a source may press. */
function partsIn(source: Source): readonly (ControlPart | null)[] {
  if ('part' in source) return [source.part];
  return 'parts' in source ? source.parts : [];
}

/**
 * How many bytes a report must have for everything its device says in it, its id included; null where no report has
 * that id. One that is shorter is read as far as it goes.
 */
export function reportSize({ numbered, reports }: Decoder, bytes: Uint8Array): number | null {
  const ready = reports.get(numbered ? (bytes[0] ?? 0) : 0);
  if (!ready) return null;
  const bits = ready.map(({ source: { field } }) => field.bitOffset + field.bitSize * field.count);
  return Math.ceil(Math.max(0, ...bits) / 8) + (numbered ? 1 : 0);
}

/** One report decoded: what happened, and what to remember. */
export interface Decoded {
  readonly events: readonly HeardEvent[];
  /** To be handed in with the next report. */
  readonly state: HeardState;
}

/**
 * Reads an input report, its id first where the device numbers its reports. A report that is cut short is read as
 * far as it goes; one with an id nobody described says nothing.
 */
export function decodeReport(decoder: Decoder, state: HeardState, bytes: Uint8Array): Decoded {
  const id = decoder.numbered ? (bytes[0] ?? 0) : 0;
  const ready = decoder.reports.get(id);
  if (!ready) return { events: [], state };
  const body = decoder.numbered ? bytes.subarray(1) : bytes;
  return new Reading(decoder.device, state, body).all(ready);
}

/** The number at so many bits from the beginning, least significant bit first (HID 1.11, 5.8). */
export function bitsAt(bytes: Uint8Array, offset: number, size: number): number {
  if (size === 1) return ((bytes[offset >> 3] ?? 0) >> (offset & 7)) & 1;
  if (size === 8 && (offset & 7) === 0) return bytes[offset >> 3] ?? 0;
  let value = 0;
  for (let bit = 0; bit < size; ) {
    const at = offset + bit;
    const inByte = at & 7;
    const take = Math.min(8 - inByte, size - bit);
    const piece = ((bytes[at >> 3] ?? 0) >> inByte) & (powerOfTwo(take) - 1);
    value += piece * powerOfTwo(bit);
    bit += take;
  }
  return value;
}

/** A field's value in a report, signed where its range is; slot `i` of an array. */
export function fieldValue({ bitOffset, bitSize, logicalMin }: Field, bytes: Uint8Array, i = 0): number {
  const raw = bitsAt(bytes, bitOffset + i * bitSize, bitSize);
  return logicalMin < 0 ? signedOf(raw, bitSize) : raw;
}

/** One report being read: what it says, compared with the report before. */
class Reading {
  readonly #events: HeardEvent[] = [];
  readonly #values: (number | null)[];
  #down: Set<string> | null = null;
  #dx = 0;
  #dy = 0;
  #inRange = true;

  constructor(
    private readonly device: string,
    private readonly before: HeardState,
    private readonly bytes: Uint8Array,
  ) {
    this.#values = before.values.slice();
  }

  all(ready: readonly Ready[]): Decoded {
    const bits = this.bytes.length * 8;
    for (const each of ready) {
      const { field, kind } = each.source;
      if (field.bitOffset + field.bitSize * field.count > bits) continue;
      if (kind === 'in-range') this.#inRange = fieldValue(field, this.bytes) !== 0;
      else this.#one(each);
    }
    if (this.#dx !== 0 || this.#dy !== 0) this.#events.push({ kind: 'move', dx: this.#dx, dy: this.#dy });
    return { events: this.#events, state: { values: this.#values, down: this.#down ?? this.before.down } };
  }

  /** One source’s part of a report. */
  #one({ source, place, controls }: Ready): void {
    const { field } = source;
    if (source.kind === 'array') {
      this.#array(field, controls);
      return;
    }
    const value = fieldValue(field, this.bytes);
    const inside = value >= field.logicalMin && value <= field.logicalMax;
    if (source.kind === 'hat') {
      this.#hat(field, inside ? value - field.logicalMin : null, controls);
      return;
    }
    if (!inside && field.flags.nullState) {
      // A finger that was lifted may come down elsewhere: nothing was turned in between.
      this.#values[place] = null;
      return;
    }
    const [control] = controls;
    if (source.kind === 'move') {
      this.#move(field, value, source.relative, source.axis, place);
      return;
    }
    if (control === undefined || control === null) return;
    const last = this.#values[place] ?? null;
    this.#values[place] = value;
    const at = { device: this.device, control };
    switch (source.kind) {
      case 'press':
        // Many say 0 and 1; a selector may say 1 and 2.
        this.#set(control, value > field.logicalMin);
        return;
      case 'turn':
        if (value !== 0) this.#events.push({ kind: 'turn', ...at, ...turned(source.part, value) });
        return;
      case 'circle': {
        const steps = last === null ? 0 : around(value - last, field.logicalMax - field.logicalMin + 1);
        if (steps !== 0) this.#events.push({ kind: 'turn', ...at, ...turned(source.part, steps) });
        return;
      }
      case 'spring':
        if (value !== (last ?? 0)) this.#events.push({ kind: 'position', ...at, value });
        return;
      case 'slide': {
        const range = field.logicalMax - field.logicalMin;
        if (value !== last)
          this.#events.push({ kind: 'position', ...at, value: (value - field.logicalMin) / range });
      }
    }
  }

  /** Relative counts are pixels; a pen's places are differences while it stays in range. */
  #move(field: Field, value: number, relative: boolean, axis: 'x' | 'y', place: number): void {
    const last = this.#values[place] ?? null;
    this.#values[place] = this.#inRange ? value : null;
    let by = relative ? value : 0;
    if (!relative && this.#inRange && last !== null) {
      by = ((value - last) / (field.logicalMax - field.logicalMin)) * TABLET_PIXELS;
    }
    if (axis === 'x') this.#dx += by;
    else this.#dy += by;
  }

  /** Every usage that a slot names is down; what was and is no longer comes up. Rolled over, nothing is known. */
  #array(field: Field, controls: readonly (string | null)[]): void {
    const values = Array.from({ length: field.count }, (_, i) => fieldValue(field, this.bytes, i));
    if (isRolledOver(field, values)) return;
    const now = new Set(values.flatMap((value) => controls[value - field.logicalMin] ?? []));
    for (const control of controls) if (control !== null) this.#set(control, now.has(control));
  }

  /** Eight places from the top, clockwise (or four); between two of them both are down. */
  #hat({ logicalMin, logicalMax }: Field, value: number | null, controls: readonly (string | null)[]): void {
    const places = logicalMax - logicalMin + 1;
    const eighth = value === null ? null : (value * 8) / places;
    controls.forEach((control, i) => {
      const away = eighth === null ? 8 : Math.abs(around(eighth - i * 2, 8));
      if (control !== null) this.#set(control, away <= 1);
    });
  }

  /** Only changes are events: a report says the whole state each time. */
  #set(control: string, down: boolean): void {
    const known = this.#down ?? this.before.down;
    if (known.has(control) === down) return;
    this.#down ??= new Set(this.before.down);
    if (down) this.#down.add(control);
    else this.#down.delete(control);
    this.#events.push({ kind: down ? 'down' : 'up', device: this.device, control });
  }
}

/** A turn of so many counts: in detents, or in degrees where it counts finer than those. */
function turned({ detents }: ControlPart, counts: number) {
  if (detents === null || !isFine(detents)) return { unit: 'detents', amount: counts } as const;
  return { unit: 'degrees', amount: (counts * 360) / detents } as const;
}

/** A difference on a circle of so many places, the shorter way round. */
function around(difference: number, places: number): number {
  const wrapped = ((difference % places) + places) % places;
  return wrapped > places / 2 ? wrapped - places : wrapped;
}
