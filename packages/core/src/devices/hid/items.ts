import { ok, type Result, refuse } from '../../result.ts';

/** Why bytes are no report descriptor; `at` is the byte's place, from 0. */
export interface DescriptorProblem {
  readonly code:
    | 'descriptor-empty'
    | 'descriptor-too-long'
    | 'item-cut-off'
    | 'collection-not-open'
    | 'collection-not-closed'
    | 'pop-without-push'
    | 'report-id-zero'
    | 'report-too-long'
    | 'too-many-fields'
    | 'nested-too-deep'
    | 'delimiter-nested'
    | 'size-missing';
  readonly at: number;
}

/** One item of a report descriptor (HID 1.11, 6.2.2): its type and tag, and its data as both kinds of number. */
export interface Item {
  readonly at: number;
  readonly type: 'main' | 'global' | 'local' | 'reserved' | 'long';
  readonly tag: number;
  /** Bytes of data: 0, 1, 2 or 4; any number for a long item. */
  readonly size: number;
  readonly unsigned: number;
  readonly signed: number;
}

/** The longest descriptor taken: wDescriptorLength has sixteen bits. */
export const LONGEST_DESCRIPTOR = 65_535;

const TYPES = ['main', 'global', 'local', 'reserved'] as const;
const LONG_ITEM = 0xfe;

/** The items of a report descriptor, in order. A long item (6.2.2.3) has only its tag and size. */
export function readItems(bytes: Uint8Array): Result<readonly Item[], DescriptorProblem> {
  if (bytes.length === 0) return refuse({ code: 'descriptor-empty', at: 0 });
  if (bytes.length > LONGEST_DESCRIPTOR)
    return refuse({ code: 'descriptor-too-long', at: LONGEST_DESCRIPTOR });
  const items: Item[] = [];
  for (let at = 0; at < bytes.length; ) {
    const prefix = bytes[at] ?? 0;
    const long = prefix === LONG_ITEM;
    if (long && at + 2 >= bytes.length) return refuse({ code: 'item-cut-off', at });
    const head = long ? 3 : 1;
    const size = long ? (bytes[at + 1] ?? 0) : ([0, 1, 2, 4][prefix & 3] ?? 0);
    if (at + head + size > bytes.length) return refuse({ code: 'item-cut-off', at });
    if (long) items.push({ at, type: 'long', tag: bytes[at + 2] ?? 0, size, unsigned: 0, signed: 0 });
    else {
      const unsigned = littleEndian(bytes, at + 1, size);
      const type = TYPES[(prefix >> 2) & 3] ?? 'reserved';
      items.push({ at, type, tag: prefix >> 4, size, unsigned, signed: signedOf(unsigned, size * 8) });
    }
    at += head + size;
  }
  return ok(items);
}

function littleEndian(bytes: Uint8Array, at: number, size: number): number {
  let value = 0;
  if (size === 1) return bytes[at] ?? 0;
  for (let i = size - 1; i >= 0; i--) value = value * 256 + (bytes[at + i] ?? 0);
  return value;
}

/** A number of so many bits taken as two's complement. */
export function signedOf(value: number, bits: number): number {
  const whole = powerOfTwo(bits);
  return bits > 0 && value >= whole / 2 ? value - whole : value;
}

const POWERS: readonly number[] = Array.from({ length: 65 }, (_, i) => 2 ** i);

/** Two to the power of 0 to 64, looked up: reports are read thousands of times a second. */
export function powerOfTwo(exponent: number): number {
  return POWERS[exponent] ?? 2 ** exponent;
}
