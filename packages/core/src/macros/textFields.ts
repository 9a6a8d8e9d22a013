import { format } from 'date-fns';

/** What text may carry that is known only when it is typed. */
export const FIELD_KINDS = ['date', 'time', 'counter', 'clipboard', 'ask'] as const;
/** One of them. */
export type FieldKind = (typeof FIELD_KINDS)[number];

/** A field as it stands in text: `‹date yyyy-MM-dd›`. Marks that no keyboard types by chance. */
const FIELD = /‹(date|time|counter|clipboard|ask)(?: ([^‹›\n]{1,80}))?›/gu;

/** How fields are written if nobody says otherwise; formats of dates and times as in Unicode's UTS #35, section 4. */
export const USUAL_FIELDS = {
  date: '‹date yyyy-MM-dd›',
  time: '‹time HH:mm›',
  counter: '‹counter 001›',
  clipboard: '‹clipboard›',
  ask: '‹ask Which one?›',
} as const satisfies Record<FieldKind, string>;

/** What is known at the desk when text is typed. */
export interface TextFacts {
  /** In the desk's own time zone. */
  readonly now: Date;
  readonly clipboard: string;
  /** Counts one up and gives it; each name has a counter of its own. `from` is what it begins with. */
  readonly count: (name: string, from: number) => number;
}

/** Text as it is typed: fields filled in, everything else as it stands. A field that makes no sense stays as it is. */
export function filledText(text: string, facts: TextFacts): string {
  return text.replace(
    FIELD,
    (whole, kind: FieldKind, how: string | undefined) => filled(kind, how, facts) ?? whole,
  );
}

/** The fields of a text that cannot be filled in as they are written. */
export function brokenFields(text: string): readonly string[] {
  const facts: TextFacts = { now: new Date(0), clipboard: '', count: (_name, from) => from };
  return [...text.matchAll(FIELD)].flatMap(([whole, kind, how]) =>
    kind !== 'ask' && filled(kind as FieldKind, how, facts) === null ? [whole] : [],
  );
}

/** Whether text carries any field. */
export function hasFields(text: string): boolean {
  return text.search(FIELD) >= 0;
}

function filled(
  kind: FieldKind,
  how: string | undefined,
  { now, clipboard, count }: TextFacts,
): string | null {
  switch (kind) {
    case 'date':
      return formatted(now, how ?? 'yyyy-MM-dd');
    case 'time':
      return formatted(now, how ?? 'HH:mm');
    case 'counter':
      return counted(how ?? '1', count);
    case 'clipboard':
      return how === undefined ? clipboard : null;
    // A macro asks before its text is typed; what asks elsewhere stands as it is.
    case 'ask':
      return null;
  }
}

/** Null for letters that mean nothing; what is not to be read as such stands in apostrophes. */
function formatted(now: Date, pattern: string): string | null {
  try {
    return format(now, pattern);
  } catch {
    return null;
  }
}

/** `takes 001`: a name, if any, and the number it begins with, with as many digits as it shall have. */
function counted(how: string, count: TextFacts['count']): string | null {
  const parts = /^(?:(.*\S) )?(\d{1,9})$/u.exec(how);
  const digits = parts?.[2];
  if (digits === undefined) return null;
  return String(count(parts?.[1] ?? '', Number(digits))).padStart(digits.length, '0');
}
