import { ok, type Result, refuse } from '../../result.ts';
import type { Collection, Descriptor, Field, UsageRange } from './descriptor.ts';
import { fieldLike, flagsFor, type Globals, type Like, NOUGHT, type Ranges, rangesOf } from './fields.ts';
import { type DescriptorProblem, eachItem, type Item } from './items.ts';
import type { Usage } from './usages.ts';

/** A usage as it was written: with its page, or to be completed with the page that holds at the main item. */
interface Written {
  page: number | null;
  from: number;
  to: number;
  /** Whether it is a further choice of a delimited set. */
  further: boolean;
}

/** Which of the three kinds of report a main item is for, by its tag (HID 1.11, section 6.2.2.4). */
const REPORTS = { input: 0, output: 1, feature: 2 } as const;
/** The same empty lists for every field that has none: a descriptor of many fields leaves less behind. */
const NO_USAGES: readonly Usage[] = [];
const NO_RANGES: readonly UsageRange[] = [];

/** Collections by their number (HID 1.11, section 6.2.2.6). */
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
/** The longest report there can be: a length of sixteen bits, in bytes, as USB gives it. */
const MOST_REPORT_BITS = 8 * 65_535;
/** Collections within one another; a descriptor is input from outside, and must not use up the stack. */
const DEEPEST = 64;

/** Ends the reading with the reason and the byte it is about; caught where the reading began. */
class Refused extends Error {
  constructor(readonly problem: DescriptorProblem) {
    super(problem.code);
  }
}

/** Reads a report descriptor (HID 1.11, 6.2.2). What is wrong with it is told with the byte's place. */
export function parseDescriptor(bytes: Uint8Array): Result<Descriptor, DescriptorProblem> {
  const reader = new Reader();
  try {
    const problem = eachItem(bytes, (item) => reader.take(item));
    return problem ? refuse(problem) : ok(reader.end(bytes.length));
  } catch (error) {
    if (error instanceof Refused) return refuse(error.problem);
    throw error;
  }
}

/** A collection that is still open. */
interface Open {
  readonly kind: Collection['kind'];
  readonly usage: Usage | null;
  readonly collections: Collection[];
  readonly fields: number[];
}

/**
 * Reads item by item with the state that the standard describes: global, local, and a stack of globals (HID 1.11,
 * sections 6.2.2.7 and 6.2.2.8).
 */
class Reader {
  readonly #fields: Field[] = [];
  readonly #root: Open = { kind: 'application', usage: null, collections: [], fields: [] };
  readonly #open: Open[] = [this.#root];
  readonly #stack: Globals[] = [];
  /** Bits laid out so far, by kind of report and id. */
  readonly #bits = new Map<number, number>();
  #numbered = false;
  /** Those since the last main item: the first `#written` of a list that is used again and again. */
  readonly #usages: Written[] = [];
  #written = 0;
  /** How many of those are further choices. */
  #further = 0;
  /** As they are by the globals; worked out anew once those change. */
  #ranges: Ranges | null = null;
  /** Usages made so far, by page and id: most descriptors name the same ones over and over. */
  readonly #known = new Map<number, Usage>();
  #minimum: number | null = null;
  #delimited = 0;
  /** The usages of the open collections, outermost first; one list for each that is open. */
  readonly #paths: (readonly Usage[])[] = [[]];
  #globals: Globals = {
    usagePage: 0,
    logicalMin: 0,
    logicalMax: NOUGHT,
    physicalMin: 0,
    physicalMax: NOUGHT,
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

  /** Local items hold for one main item only (6.2.2.8). */
  #main(item: Item): void {
    if (item.tag === 0x8) this.#field(item, 'input');
    if (item.tag === 0x9) this.#field(item, 'output');
    if (item.tag === 0xb) this.#field(item, 'feature');
    if (item.tag === 0xa) this.#openCollection(item);
    if (item.tag === 0xc) this.#closeCollection(item);
    this.#written = 0;
    this.#further = 0;
    this.#minimum = null;
    this.#delimited = 0;
  }

  /** Fields know the usages of all collections they are in. */
  #openCollection({ unsigned, at }: Item): void {
    if (this.#open.length > DEEPEST) throw new Refused({ code: 'nested-too-deep', at });
    const kind = COLLECTIONS[unsigned] ?? (unsigned >= 0x80 ? 'vendor' : 'reserved');
    const first = this.#written > 0 ? this.#usages[0] : undefined;
    const usage = first ? this.#complete(first, first.from) : null;
    this.#open.push({ kind, usage, collections: [], fields: [] });
    const path = this.#path();
    this.#paths.push(usage ? [...path, usage] : path);
  }

  /** Ends the innermost one. */
  #closeCollection({ at }: Item): void {
    const closed = this.#open.length > 1 ? this.#open.pop() : undefined;
    if (!closed) throw new Refused({ code: 'collection-not-open', at });
    this.#open.at(-1)?.collections.push(closed);
    this.#paths.pop();
  }

  /** The usages of the open collections, outermost first. */
  #path(): readonly Usage[] {
    return this.#paths.at(-1) ?? [];
  }

  /** Global items hold until they are said anew (6.2.2.7). */
  #global(item: Item): void {
    this.#ranges = null;
    const globals = this.#globals;
    const { unsigned, signed, at } = item;
    switch (item.tag) {
      case 0x0:
        globals.usagePage = unsigned;
        return;
      case 0x1:
        globals.logicalMin = signed;
        return;
      case 0x2:
        globals.logicalMax = { signed, unsigned };
        return;
      case 0x3:
        globals.physicalMin = signed;
        return;
      case 0x4:
        globals.physicalMax = { signed, unsigned };
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

  /** Nought is reserved (6.2.2.7); with one id, every report begins with one. */
  #reportId(id: number, at: number): void {
    if (id === 0 || id > 255) throw new Refused({ code: 'report-id-zero', at });
    this.#numbered = true;
    this.#globals.reportId = id;
  }

  /** The whole table of globals, as it is. */
  #push(at: number): void {
    if (this.#stack.length >= DEEPEST) throw new Refused({ code: 'nested-too-deep', at });
    this.#stack.push({ ...this.#globals });
  }

  /** Back to the table that was pushed last. */
  #pop(at: number): void {
    const before = this.#stack.pop();
    if (!before) throw new Refused({ code: 'pop-without-push', at });
    this.#globals = before;
  }

  /** A usage of four bytes brings its own page (6.2.2.8). */
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
    const further = this.#delimited > 1;
    const free = this.#usages[this.#written];
    if (free) Object.assign(free, { page, from, to, further });
    else this.#usages.push({ page, from, to, further });
    this.#written += 1;
    if (further) this.#further += 1;
    if (this.#delimited > 0) this.#delimited += 1;
  }

  /** A usage’s page is the one that holds at the main item, not where the usage stands. */
  #complete({ page }: Written, id: number): Usage {
    const whole = page ?? this.#globals.usagePage;
    const key = whole * 65_536 + id;
    const known = this.#known.get(key);
    if (known) return known;
    const usage = { page: whole, id };
    this.#known.set(key, usage);
    return usage;
  }

  /** A variable is a field each, an array one field of slots. */
  #field(item: Item, report: Field['report']): void {
    const { reportSize, reportCount, reportId } = this.#globals;
    const flags = flagsFor(item.unsigned);
    // A field without a size has no bits: the rest of the device is none the worse for it.
    if (reportSize === 0) return;
    const key = REPORTS[report] * 256 + reportId;
    const bitOffset = this.#bits.get(key) ?? 0;
    const end = bitOffset + reportSize * reportCount;
    if (end > MOST_REPORT_BITS) throw new Refused({ code: 'report-too-long', at: item.at });
    this.#bits.set(key, end);
    if (reportCount === 0) return;
    const like: Like = {
      report,
      reportId,
      bitSize: reportSize,
      alternatives: this.#alternatives(),
      ranges: this.#rangesNow(),
      flags,
      path: this.#path(),
    };
    if (!flags.variable || (flags.constant && this.#written === this.#further)) {
      this.#add(item, fieldLike(like, bitOffset, reportCount, null, this.#usageRanges()));
      return;
    }
    for (let i = 0; i < reportCount; i++) {
      this.#add(item, fieldLike(like, bitOffset + i * reportSize, 1, this.#usageAt(i), NO_RANGES));
    }
  }

  /** Further usages of a delimited set, for the same field. */
  #alternatives(): readonly Usage[] {
    if (this.#further === 0) return NO_USAGES;
    const further = this.#usages.slice(0, this.#written).filter((each) => each.further);
    return further.map((each) => this.#complete(each, each.from));
  }

  /** What an array’s values stand for, in their order. */
  #usageRanges(): readonly UsageRange[] {
    const chosen = this.#usages.slice(0, this.#written).filter((each) => !each.further);
    return chosen.map(({ page, from, to }) => ({ page: page ?? this.#globals.usagePage, from, to }));
  }

  /** Into the collection that is open, by its place in the list of all. */
  #add(item: Item, field: Field): void {
    if (this.#fields.length >= MOST_FIELDS) throw new Refused({ code: 'too-many-fields', at: item.at });
    this.#open.at(-1)?.fields.push(this.#fields.length);
    this.#fields.push(field);
  }

  /** The usage of a variable by its place; where there are fewer usages, the last one goes on (6.2.2.8). */
  #usageAt(place: number): Usage | null {
    let left = place;
    let last: Written | null = null;
    for (let i = 0; i < this.#written; i++) {
      const each = this.#usages[i];
      if (!each || each.further) continue;
      last = each;
      const size = each.to - each.from + 1;
      if (left < size) return this.#complete(each, each.from + left);
      left -= size;
    }
    return last && this.#complete(last, last.to);
  }

  /** The same object until a global changes: most fields in a row share it. */
  #rangesNow(): Ranges {
    this.#ranges ??= rangesOf(this.#globals);
    return this.#ranges;
  }
}
