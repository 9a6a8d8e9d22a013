import type { Field, FieldFlags } from './descriptor.ts';
import type { Item } from './items.ts';
import { unitOf } from './units.ts';
import type { Usage } from './usages.ts';

/** What global items have said so far (HID 1.11, 6.2.2.7). */
export interface Globals {
  usagePage: number;
  logicalMin: number;
  logicalMax: Both;
  physicalMin: number;
  physicalMax: Both;
  unit: number;
  unitExponent: number;
  reportSize: number;
  reportId: number;
  reportCount: number;
}

/** A number both ways; which one was meant is known by the minimum. */
type Both = Pick<Item, 'signed' | 'unsigned'>;
/** A maximum that was not given. */
export const NOUGHT: Both = { signed: 0, unsigned: 0 };

/** What fields of one main item have in common. */
export type Like = Pick<Field, 'report' | 'reportId' | 'bitSize' | 'alternatives' | 'flags' | 'path'> & {
  readonly ranges: Ranges;
};

/** A field; written out, as a descriptor may have thousands of them. */
export function fieldLike(
  { report, reportId, bitSize, alternatives, ranges, flags, path }: Like,
  bitOffset: number,
  count: number,
  usage: Usage | null,
  usages: Field['usages'],
): Field {
  return {
    report,
    reportId,
    bitOffset,
    bitSize,
    count,
    usage,
    usages,
    alternatives,
    logicalMin: ranges.logicalMin,
    logicalMax: ranges.logicalMax,
    physicalMin: ranges.physicalMin,
    physicalMax: ranges.physicalMax,
    unit: ranges.unit,
    flags,
    path,
  };
}

/** What a number in a report may be, and what it means. */
export type Ranges = Pick<Field, 'logicalMin' | 'logicalMax' | 'physicalMin' | 'physicalMax' | 'unit'>;

/** Logical and physical ranges; a maximum below its minimum was meant without a sign. */
export function rangesOf(globals: Globals): Ranges {
  const { logicalMin, logicalMax, physicalMin, physicalMax, unit, unitExponent } = globals;
  const max = maximumOf(logicalMax, logicalMin);
  const physical = maximumOf(physicalMax, physicalMin);
  const none = physicalMin === 0 && physical === 0;
  return {
    logicalMin,
    logicalMax: max,
    physicalMin: none ? logicalMin : physicalMin,
    physicalMax: none ? max : physical,
    unit: unitOf(unit, unitExponent),
  };
}

/** Many devices write 255 in one byte and mean it without a sign. */
function maximumOf({ signed, unsigned }: Both, minimum: number): number {
  return signed < minimum ? unsigned : signed;
}

/** The bits of HID 1.11, 6.2.2.5. */
function flagsOf(bits: number): FieldFlags {
  const on = (bit: number) => (bits & (1 << bit)) !== 0;
  return {
    constant: on(0),
    variable: on(1),
    relative: on(2),
    wrap: on(3),
    nonLinear: on(4),
    noPreferred: on(5),
    nullState: on(6),
    volatile: on(7),
    bufferedBytes: on(8),
  };
}

/** The nine flags of a main item (HID 1.11, section 6.2.2.5); higher bits are reserved. */
const FLAG_BITS = 0x1ff;
/** The flags of every item there can be. */
const FLAGS: readonly FieldFlags[] = Array.from({ length: FLAG_BITS + 1 }, (_, bits) => flagsOf(bits));

/** The flags of a main item by its data. */
export function flagsFor(bits: number): FieldFlags {
  return FLAGS[bits & FLAG_BITS] as FieldFlags;
}
