import type { Collection, Descriptor, Field } from './descriptor.ts';
import { unitOf } from './units.ts';
import type { Usage } from './usages.ts';

/** The parts of WebHID's `HIDDevice.collections` that are used (W3C WebHID, HIDCollectionInfo and HIDReportItem). */
export interface WebHidCollection {
  readonly usagePage?: number;
  readonly usage?: number;
  readonly type?: number;
  readonly children?: readonly WebHidCollection[];
  readonly inputReports?: readonly WebHidReport[];
}
/** A report as WebHID describes it (`HIDReportInfo`). */
export interface WebHidReport {
  readonly reportId?: number;
  readonly items?: readonly WebHidItem[];
}
/** An item of a report as WebHID describes it (`HIDReportItem`). */
export interface WebHidItem {
  readonly isAbsolute?: boolean;
  readonly isArray?: boolean;
  readonly isRange?: boolean;
  readonly isConstant?: boolean;
  readonly hasNull?: boolean;
  readonly wrap?: boolean;
  readonly usages?: readonly number[];
  readonly usageMinimum?: number;
  readonly usageMaximum?: number;
  readonly reportSize?: number;
  readonly reportCount?: number;
  readonly unitExponent?: number;
  readonly unitSystem?: string;
  readonly unitFactorLengthExponent?: number;
  readonly unitFactorMassExponent?: number;
  readonly unitFactorTimeExponent?: number;
  readonly unitFactorTemperatureExponent?: number;
  readonly unitFactorCurrentExponent?: number;
  readonly unitFactorLuminousIntensityExponent?: number;
  readonly logicalMinimum?: number;
  readonly logicalMaximum?: number;
  readonly physicalMinimum?: number;
  readonly physicalMaximum?: number;
}

/** A usage as WebHID gives it: the page in the upper sixteen bits, the id in the lower (WebHID, `HIDReportItem`). */
const usageOf = (value: number): Usage => ({ page: Math.floor(value / 65_536), id: value % 65_536 });

/** Bits that reports' items come to. */
function bitsIn(reports: readonly WebHidReport[]): number {
  const items = reports.flatMap((report) => report.items ?? []);
  return items.reduce((sum, { reportSize = 0, reportCount = 0 }) => sum + reportSize * reportCount, 0);
}

/** Reports of the collections inside, unless the one given has their items in its own reports already. */
function childrenToRead({ inputReports = [], children = [] }: WebHidCollection): readonly WebHidCollection[] {
  const inside = children.flatMap((child) => child.inputReports ?? []);
  return bitsIn(inside) > 0 && bitsIn(inputReports) >= bitsIn(inside) ? [] : children;
}

/** The input side of a descriptor as a browser has read it already; usages are 32 bits, the page above. */
export function fromWebHid(collections: readonly WebHidCollection[]): Descriptor {
  const fields: Field[] = [];
  const bits = new Map<number, number>();
  const read = (info: WebHidCollection, above: readonly Usage[]): Collection => {
    const usage = { page: info.usagePage ?? 0, id: info.usage ?? 0 };
    const path = [...above, usage];
    const own: number[] = [];
    for (const { reportId = 0, items = [] } of info.inputReports ?? []) {
      for (const item of items) {
        const offset = bits.get(reportId) ?? 0;
        bits.set(reportId, offset + (item.reportSize ?? 0) * (item.reportCount ?? 0));
        for (const field of fieldsOf(item, reportId, offset, path)) own.push(fields.push(field) - 1);
      }
    }
    const children = childrenToRead(info).map((child) => read(child, path));
    const kind = (['physical', 'application', 'logical'] as const)[info.type ?? 1] ?? 'logical';
    return { kind, usage, collections: children, fields: own };
  };
  const roots = collections.map((each) => read(each, []));
  return { collections: roots, fields, numbered: [...bits.keys()].some((id) => id !== 0) };
}

/** WebHID tells ranges and flags, but no place of an item’s bits: they follow each other. */
function fieldsOf(item: WebHidItem, reportId: number, offset: number, path: readonly Usage[]): Field[] {
  const { reportSize = 0, reportCount = 0, usages = [], isArray = false, isConstant = false } = item;
  const range = item.isRange
    ? [{ from: usageOf(item.usageMinimum ?? 0), to: usageOf(item.usageMaximum ?? 0) }]
    : usages.map((each) => ({ from: usageOf(each), to: usageOf(each) }));
  const common = {
    ...rangesOf(item),
    report: 'input' as const,
    reportId,
    bitSize: reportSize,
    alternatives: [],
    path,
  };
  const ranges = range.map(({ from, to }) => ({ page: from.page, from: from.id, to: to.id }));
  if (isArray || (isConstant && range.length === 0)) {
    return [{ ...common, bitOffset: offset, count: reportCount, usage: null, usages: ranges }];
  }
  const all = ranges.flatMap(({ page, from, to }) =>
    Array.from({ length: Math.min(to - from + 1, reportCount) }, (_, i): Usage => ({ page, id: from + i })),
  );
  return Array.from(
    { length: reportCount },
    (_, i): Field => ({
      ...common,
      bitOffset: offset + i * reportSize,
      count: 1,
      usage: all[i] ?? all.at(-1) ?? null,
      usages: [],
    }),
  );
}

/** Systems of units by WebHID's words, in the order of the standard's numbers (HID 1.11, 6.2.2.7). */
const UNIT_SYSTEMS = ['none', 'si-linear', 'si-rotation', 'english-linear', 'english-rotation'];

/** A unit as the descriptor has it: the system, then an exponent of four bits for each base unit. */
function unitCode(item: WebHidItem): number {
  const system = UNIT_SYSTEMS.indexOf(item.unitSystem ?? 'none');
  if (system <= 0) return 0;
  const exponents = [
    item.unitFactorLengthExponent,
    item.unitFactorMassExponent,
    item.unitFactorTimeExponent,
    item.unitFactorTemperatureExponent,
    item.unitFactorCurrentExponent,
    item.unitFactorLuminousIntensityExponent,
  ];
  return exponents.reduce<number>((code, exponent = 0, i) => code + (exponent & 0xf) * 16 ** (i + 1), system);
}

/** What values of an item mean; WebHID gives the same facts as the descriptor under other names. */
function rangesOf(
  item: WebHidItem,
): Pick<Field, 'logicalMin' | 'logicalMax' | 'physicalMin' | 'physicalMax' | 'unit' | 'flags'> {
  const { logicalMinimum: min = 0, logicalMaximum: max = 0, physicalMinimum = 0, physicalMaximum = 0 } = item;
  const none = physicalMinimum === 0 && physicalMaximum === 0;
  return {
    logicalMin: min,
    logicalMax: max,
    physicalMin: none ? min : physicalMinimum,
    physicalMax: none ? max : physicalMaximum,
    unit: unitOf(unitCode(item), item.unitExponent ?? 0),
    flags: {
      constant: item.isConstant ?? false,
      variable: !(item.isArray ?? false),
      relative: !(item.isAbsolute ?? true),
      wrap: item.wrap ?? false,
      nonLinear: false,
      noPreferred: false,
      nullState: item.hasNull ?? false,
      volatile: false,
      bufferedBytes: false,
    },
  };
}
