/** Writes short items of a report descriptor (HID 1.11, 6.2.2.2): the tag's byte without its size, and a value. */
function item(prefix: number, value: number, size = sizeOf(value)): number[] {
  const code = size === 4 ? 3 : size;
  return [prefix | code, ...Array.from({ length: size }, (_, i) => (value >> (8 * i)) & 0xff)];
}

function sizeOf(value: number): number {
  if (value >= -128 && value <= 127) return 1;
  return value >= -32_768 && value <= 32_767 ? 2 : 4;
}

const unsigned = (prefix: number) => (value: number) =>
  item(prefix, value, value > 0xffff ? 4 : value > 0xff ? 2 : 1);

export const usagePage = unsigned(0x04);
export const logicalMin = (value: number) => item(0x14, value);
export const logicalMax = (value: number) => item(0x24, value);
export const physicalMin = (value: number) => item(0x34, value);
export const physicalMax = (value: number) => item(0x44, value);
export const unitExponent = (value: number) => item(0x54, value & 0xf, 1);
export const unit = unsigned(0x64);
export const reportSize = unsigned(0x74);
export const reportId = unsigned(0x84);
export const reportCount = unsigned(0x94);
export const push = [0xa4];
export const pop = [0xb4];
export const usage = unsigned(0x08);
export const usageMin = unsigned(0x18);
export const usageMax = unsigned(0x28);
export const delimiter = unsigned(0xa8);
export const input = unsigned(0x80);
export const output = unsigned(0x90);
export const feature = unsigned(0xb0);

/** Bits of an input's data (HID 1.11, 6.2.2.5). */
export const CONSTANT = 1;
export const VARIABLE = 2;
export const RELATIVE = 4;
export const WRAP = 8;
export const NULL_STATE = 0x40;

const COLLECTIONS = { physical: 0, application: 1, logical: 2 } as const;

/** A collection with its usage and what is inside. */
export function collection(
  kind: keyof typeof COLLECTIONS,
  own: number,
  ...inside: readonly number[][]
): number[] {
  return [...usage(own), 0xa1, COLLECTIONS[kind], ...inside.flat(), 0xc0];
}

export function descriptor(...parts: readonly number[][]): Uint8Array {
  return Uint8Array.from(parts.flat());
}

/** Puts numbers of so many bits one after the other, least significant bit first. */
export function packBits(values: readonly (readonly [value: number, bits: number])[]): Uint8Array {
  const bits = values.flatMap(([value, size]) =>
    Array.from({ length: size }, (_, i) => Math.floor((value < 0 ? value + 2 ** size : value) / 2 ** i) % 2),
  );
  const bytes = new Uint8Array(Math.ceil(bits.length / 8));
  bits.forEach((bit, i) => {
    bytes[i >> 3] = (bytes[i >> 3] ?? 0) | (bit << (i & 7));
  });
  return bytes;
}
