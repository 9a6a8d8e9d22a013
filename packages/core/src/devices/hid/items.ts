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
    | 'delimiter-nested';
  /** Byte from the start, counted from 0. */
  readonly at: number;
}

/** One item of a report descriptor (HID 1.11, 6.2.2): its type and tag, and its data as both kinds of number. */
export interface Item {
  readonly at: number;
  readonly type: 'main' | 'global' | 'local' | 'reserved' | 'long';
  /** Which item of its type. */
  readonly tag: number;
  /** Bytes of data: 0, 1, 2 or 4; any number for a long item. */
  readonly size: number;
  /** The data without and with a sign, as the item's meaning asks (HID 1.11, 6.2.2.2). */
  readonly unsigned: number;
  readonly signed: number;
}

/** The longest descriptor taken: wDescriptorLength has sixteen bits. */
export const LONGEST_DESCRIPTOR = 65_535;

/** Types of short items by their two bits (HID 1.11, section 6.2.2.2). */
const TYPES = ['main', 'global', 'local', 'reserved'] as const;
/** The prefix of a long item (HID 1.11, section 6.2.2.3). None are defined, so they are read over. */
const LONG_ITEM = 0xfe;

/**
 * Reads the items of a report descriptor in order. A long item (6.2.2.3) has only its tag and size. The item handed to
 * `take` is the same object each time, with other values: a descriptor of four kilobytes has two thousand of them.
 *
 * @returns what is wrong, or null
 */
export function eachItem(bytes: Uint8Array, take: (item: Item) => void): DescriptorProblem | null {
  if (bytes.length === 0) return { code: 'descriptor-empty', at: 0 };
  if (bytes.length > LONGEST_DESCRIPTOR) return { code: 'descriptor-too-long', at: LONGEST_DESCRIPTOR };
  const item: { -readonly [Key in keyof Item]: Item[Key] } = {
    at: 0,
    type: 'main',
    tag: 0,
    size: 0,
    unsigned: 0,
    signed: 0,
  };
  for (let at = 0; at < bytes.length; ) {
    const prefix = bytes[at] ?? 0;
    const long = prefix === LONG_ITEM;
    if (long && at + 2 >= bytes.length) return { code: 'item-cut-off', at };
    const head = long ? 3 : 1;
    const size = long ? (bytes[at + 1] ?? 0) : (SIZES[prefix & 3] ?? 0);
    if (at + head + size > bytes.length) return { code: 'item-cut-off', at };
    item.at = at;
    item.size = size;
    item.type = long ? 'long' : (TYPES[(prefix >> 2) & 3] ?? 'reserved');
    item.tag = long ? (bytes[at + 2] ?? 0) : prefix >> 4;
    item.unsigned = long ? 0 : littleEndian(bytes, at + 1, size);
    item.signed = long ? 0 : signedItem(item.unsigned, size);
    take(item);
    at += head + size;
  }
  return null;
}

/** Bytes of data by the two bits of the size: three means four (HID 1.11, section 6.2.2.2). */
const SIZES = [0, 1, 2, 4] as const;

/** Whole numbers by bits, which need no memory of their own. */
function littleEndian(bytes: Uint8Array, at: number, size: number): number {
  const low = bytes[at] ?? 0;
  if (size === 0) return 0;
  if (size === 1) return low;
  const two = low | ((bytes[at + 1] ?? 0) << 8);
  if (size === 2) return two;
  return (two | ((bytes[at + 2] ?? 0) << 16) | ((bytes[at + 3] ?? 0) << 24)) >>> 0;
}

/** Two’s complement of 8, 16 or 32 bits. */
function signedItem(unsigned: number, size: number): number {
  if (size === 1) return (unsigned << 24) >> 24;
  return size === 2 ? (unsigned << 16) >> 16 : unsigned | 0;
}

/** A number of so many bits taken as two's complement. */
export function signedOf(value: number, bits: number): number {
  const whole = powerOfTwo(bits);
  return bits > 0 && value >= whole / 2 ? value - whole : value;
}

/** Powers of two by multiplication: shifts in JavaScript end at 32 bits, fields may not. */
const POWERS: readonly number[] = Array.from({ length: 65 }, (_, i) => 2 ** i);

/** Two to the power of 0 to 64, looked up: reports are read thousands of times a second. */
export function powerOfTwo(exponent: number): number {
  return POWERS[exponent] ?? 2 ** exponent;
}
