import type { Unit } from './units.ts';
import type { Usage } from './usages.ts';

/** A collection and what is inside it (HID 1.11, 6.2.2.6). */
export interface Collection {
  readonly kind:
    | 'physical'
    | 'application'
    | 'logical'
    | 'report'
    | 'named array'
    | 'usage switch'
    | 'usage modifier'
    | 'vendor'
    | 'reserved';
  /** Null where none was given; the standard asks for one. */
  readonly usage: Usage | null;
  readonly collections: readonly Collection[];
  /** The fields directly inside, by their place in `Descriptor.fields`. */
  readonly fields: readonly number[];
}

/** What an array field reports: the usage at a logical value counts from the range's beginning. */
export interface UsageRange {
  readonly page: number;
  /** First and last usage, both included. */
  readonly from: number;
  readonly to: number;
}

/** One variable, or one array of slots, of a report. */
export interface Field {
  readonly report: 'input' | 'output' | 'feature';
  /** 0 where the device numbers no reports. */
  readonly reportId: number;
  /** From the first bit after the report's id. */
  readonly bitOffset: number;
  /** Of one value. */
  readonly bitSize: number;
  /** 1 for a variable; the slots of an array. */
  readonly count: number;
  /** Of a variable; null for padding and arrays. */
  readonly usage: Usage | null;
  /** Of an array, in the order of its logical values. */
  readonly usages: readonly UsageRange[];
  /** Other usages for the same, of a delimited set. */
  readonly alternatives: readonly Usage[];
  /** Bounds of the values in reports; what is outside means nothing. */
  readonly logicalMin: number;
  readonly logicalMax: number;
  /** What those bounds stand for, in `unit`. */
  readonly physicalMin: number;
  readonly physicalMax: number;
  readonly unit: Unit;
  readonly flags: FieldFlags;
  /** The usages of the collections it is in, outermost first. */
  readonly path: readonly Usage[];
}

/** HID 1.11, 6.2.2.5. */
export interface FieldFlags {
  /** Never changes: padding. */
  readonly constant: boolean;
  /** One value a control; else an array of what is on. */
  readonly variable: boolean;
  /** Changes since the last report; else where it is. */
  readonly relative: boolean;
  /** Goes from the end to the beginning, as a dial does. */
  readonly wrap: boolean;
  /** Not proportional to what was measured. */
  readonly nonLinear: boolean;
  /** Does not go back by itself, as a toggle. */
  readonly noPreferred: boolean;
  /** Has a value that means "nothing". */
  readonly nullState: boolean;
  /** The computer may change it. */
  readonly volatile: boolean;
  /** Bytes without meaning to the standard. */
  readonly bufferedBytes: boolean;
}

/** A report descriptor read: its collections and its fields. */
export interface Descriptor {
  readonly collections: readonly Collection[];
  readonly fields: readonly Field[];
  /** Whether reports begin with a byte that numbers them. */
  readonly numbered: boolean;
}
