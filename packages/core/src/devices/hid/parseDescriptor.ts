import { ok, type Result, refuse } from '../../result.ts';
import type { Collection, Descriptor, Field, FieldFlags, UsageRange } from './descriptor.ts';
import { type DescriptorProblem, type Item, readItems } from './items.ts';
import { unitOf } from './units.ts';
import type { Usage } from './usages.ts';

interface Globals {
  usagePage: number;
  logicalMin: Item | null;
  logicalMax: Item | null;
  physicalMin: number;
  physicalMax: Item | null;
  unit: number;
  unitExponent: number;
  reportSize: number;
  reportId: number;
  reportCount: number;
}

/** A usage as it was written: with its page, or to be completed with the page that holds at the main item. */
interface Written {
  readonly page: number | null;
  readonly from: number;
  readonly to: number;
  /** Whether it is a further choice of a delimited set. */
  readonly further: boolean;
}

const COLLECTIONS = [
  'physical',
  'application',
  'logical',
  'report',
  'named array',
  'usage switch',
  'usage modifier',
] as const;
/** Beyond these a descriptor is refused, so that no input can take long or much memory. */
const MOST_FIELDS = 4096;
const MOST_REPORT_BITS = 8 * 65_535;
const DEEPEST = 64;

class Refused extends Error {
  constructor(readonly problem: DescriptorProblem) {
    super(problem.code);
  }
}

/** Reads a report descriptor (HID 1.11, 6.2.2). What is wrong with it is told with the byte's place. */
export function parseDescriptor(bytes: Uint8Array): Result<Descriptor, DescriptorProblem> {
  const items = readItems(bytes);
  if (!items.ok) return items;
  const reader = new Reader();
  try {
    for (const item of items.value) reader.take(item);
    return ok(reader.end(bytes.length));
  } catch (error) {
    if (error instanceof Refused) return refuse(error.problem);
    throw error;
  }
}

interface Open {
  readonly kind: Collection['kind'];
  readonly usage: Usage | null;
  readonly collections: Collection[];
  readonly fields: number[];
}

class Reader {
  readonly #fields: Field[] = [];
  readonly #root: Open = { kind: 'application', usage: null, collections: [], fields: [] };
  readonly #open: Open[] = [this.#root];
  readonly #stack: Globals[] = [];
  /** Bits laid out so far, by kind of report and id. */
  readonly #bits = new Map<string, number>();
  #numbered = false;
  #usages: Written[] = [];
  #minimum: number | null = null;
  #delimited = 0;
  /** The usages of the open collections, outermost first; one list for each that is open. */
  readonly #paths: (readonly Usage[])[] = [[]];
  #globals: Globals = {
    usagePage: 0,
    logicalMin: null,
    logicalMax: null,
    physicalMin: 0,
    physicalMax: null,
    unit: 0,
    unitExponent: 0,
    reportSize: 0,
    reportId: 0,
    reportCount: 0,
  };

  take(item: Item): void {
    if (item.type === 'main') this.#main(item);
    if (item.type === 'global') this.#global(item);
    if (item.type === 'local') this.#local(item);
  }

  end(at: number): Descriptor {
    if (this.#open.length > 1) throw new Refused({ code: 'collection-not-closed', at });
    return { collections: this.#root.collections, fields: this.#fields, numbered: this.#numbered };
  }

  #main(item: Item): void {
    if (item.tag === 0x8) this.#field(item, 'input');
    if (item.tag === 0x9) this.#field(item, 'output');
    if (item.tag === 0xb) this.#field(item, 'feature');
    if (item.tag === 0xa) this.#openCollection(item);
    if (item.tag === 0xc) this.#closeCollection(item);
    this.#usages = [];
    this.#minimum = null;
    this.#delimited = 0;
  }

  #openCollection({ unsigned, at }: Item): void {
    if (this.#open.length > DEEPEST) throw new Refused({ code: 'nested-too-deep', at });
    const kind = COLLECTIONS[unsigned] ?? (unsigned >= 0x80 ? 'vendor' : 'reserved');
    const [first] = this.#usages;
    const usage = first ? this.#complete(first, first.from) : null;
    this.#open.push({ kind, usage, collections: [], fields: [] });
    const path = this.#path();
    this.#paths.push(usage ? [...path, usage] : path);
  }

  #closeCollection({ at }: Item): void {
    const closed = this.#open.length > 1 ? this.#open.pop() : undefined;
    if (!closed) throw new Refused({ code: 'collection-not-open', at });
    this.#open.at(-1)?.collections.push(closed);
    this.#paths.pop();
  }

  #path(): readonly Usage[] {
    return this.#paths.at(-1) ?? [];
  }

  #global(item: Item): void {
    const globals = this.#globals;
    const { unsigned, signed, at } = item;
    switch (item.tag) {
      case 0x0:
        globals.usagePage = unsigned;
        return;
      case 0x1:
        globals.logicalMin = item;
        return;
      case 0x2:
        globals.logicalMax = item;
        return;
      case 0x3:
        globals.physicalMin = signed;
        return;
      case 0x4:
        globals.physicalMax = item;
        return;
      case 0x5:
        globals.unitExponent = signed;
        return;
      case 0x6:
        globals.unit = unsigned;
        return;
      case 0x7:
        globals.reportSize = unsigned;
        return;
      case 0x8:
        this.#reportId(unsigned, at);
        return;
      case 0x9:
        globals.reportCount = unsigned;
        return;
      case 0xa:
        this.#push(at);
        return;
      case 0xb:
        this.#pop(at);
    }
  }

  #reportId(id: number, at: number): void {
    if (id === 0 || id > 255) throw new Refused({ code: 'report-id-zero', at });
    this.#numbered = true;
    this.#globals.reportId = id;
  }

  #push(at: number): void {
    if (this.#stack.length >= DEEPEST) throw new Refused({ code: 'nested-too-deep', at });
    this.#stack.push({ ...this.#globals });
  }

  #pop(at: number): void {
    const before = this.#stack.pop();
    if (!before) throw new Refused({ code: 'pop-without-push', at });
    this.#globals = before;
  }

  #local({ tag, unsigned, size, at }: Item): void {
    const page = size === 4 ? Math.floor(unsigned / 65_536) : null;
    const id = size === 4 ? unsigned % 65_536 : unsigned;
    if (tag === 0x0) this.#addUsage(page, id, id);
    if (tag === 0x1) this.#minimum = id;
    if (tag === 0x2 && this.#minimum !== null) {
      this.#addUsage(page, Math.min(this.#minimum, id), id);
      this.#minimum = null;
    }
    if (tag !== 0xa) return;
    if (unsigned === 1 && this.#delimited > 0) throw new Refused({ code: 'delimiter-nested', at });
    this.#delimited = unsigned === 1 ? 1 : 0;
  }

  /** Inside a delimited set the first usage counts, the others are further choices. */
  #addUsage(page: number | null, from: number, to: number): void {
    this.#usages.push({ page, from, to, further: this.#delimited > 1 });
    if (this.#delimited > 0) this.#delimited += 1;
  }

  #complete({ page }: Written, id: number): Usage {
    return { page: page ?? this.#globals.usagePage, id };
  }

  #field(item: Item, report: Field['report']): void {
    const { reportSize, reportCount, reportId } = this.#globals;
    const flags = FLAGS[item.unsigned & FLAG_BITS] as FieldFlags;
    if (reportCount > 0 && reportSize === 0) throw new Refused({ code: 'size-missing', at: item.at });
    const key = `${report} ${reportId}`;
    const bitOffset = this.#bits.get(key) ?? 0;
    const end = bitOffset + reportSize * reportCount;
    if (end > MOST_REPORT_BITS) throw new Refused({ code: 'report-too-long', at: item.at });
    this.#bits.set(key, end);
    if (reportCount === 0) return;
    const further = this.#usages.filter((each) => each.further);
    const chosen = further.length === 0 ? this.#usages : this.#usages.filter((each) => !each.further);
    const alternatives = further.map((each) => this.#complete(each, each.from));
    const ranges = this.#ranges();
    const path = this.#path();
    const fieldAt = (offset: number, count: number, usage: Usage | null, usages: Field['usages']): Field => ({
      report,
      reportId,
      bitOffset: offset,
      bitSize: reportSize,
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
    });
    if (!flags.variable || (flags.constant && chosen.length === 0)) {
      const usages = chosen.map((each): UsageRange => {
        const { page } = this.#complete(each, each.from);
        return { page, from: each.from, to: each.to };
      });
      this.#add(item, fieldAt(bitOffset, reportCount, null, usages));
      return;
    }
    for (let i = 0; i < reportCount; i++) {
      this.#add(item, fieldAt(bitOffset + i * reportSize, 1, this.#usageAt(chosen, i), []));
    }
  }

  #add(item: Item, field: Field): void {
    if (this.#fields.length >= MOST_FIELDS) throw new Refused({ code: 'too-many-fields', at: item.at });
    this.#open.at(-1)?.fields.push(this.#fields.length);
    this.#fields.push(field);
  }

  /** The usage of a variable by its place; where there are fewer usages, the last one goes on (6.2.2.8). */
  #usageAt(chosen: readonly Written[], place: number): Usage | null {
    let left = place;
    for (const each of chosen) {
      const size = each.to - each.from + 1;
      if (left < size) return this.#complete(each, each.from + left);
      left -= size;
    }
    const last = chosen.at(-1);
    return last ? this.#complete(last, last.to) : null;
  }

  /** Logical and physical ranges; a maximum below its minimum was meant without a sign. */
  #ranges() {
    const { logicalMin, logicalMax, physicalMin, physicalMax, unit, unitExponent } = this.#globals;
    const min = logicalMin?.signed ?? 0;
    const max = maximumOf(logicalMax, min);
    const physical = maximumOf(physicalMax, physicalMin);
    const none = physicalMin === 0 && physical === 0;
    return {
      logicalMin: min,
      logicalMax: max,
      physicalMin: none ? min : physicalMin,
      physicalMax: none ? max : physical,
      unit: unitOf(unit, unitExponent),
    };
  }
}

function maximumOf(item: Item | null, minimum: number): number {
  if (!item) return 0;
  return item.signed < minimum ? item.unsigned : item.signed;
}

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

const FLAG_BITS = 0x1ff;
/** The flags of every item there can be. */
const FLAGS: readonly FieldFlags[] = Array.from({ length: FLAG_BITS + 1 }, (_, bits) => flagsOf(bits));
