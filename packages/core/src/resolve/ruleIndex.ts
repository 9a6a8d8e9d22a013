import { compilePattern, type Pattern, profilesByProgram, type Rule, type Setup } from '../setup/index.ts';
import type { FrontWindow } from './frontWindow.ts';

/** Whether a window fits. */
type Test = (window: FrontWindow) => boolean;

/** A profile's rules made ready: those that let windows in, most specific first, and those that keep them out. */
export interface IndexedProfile {
  readonly profile: string;
  /** Place in the person's order. */
  readonly order: number;
  /** Any of them is enough. */
  readonly positive: readonly { readonly rule: Rule; readonly test: Test }[];
  /** None of them may fit. */
  readonly negative: readonly Test[];
}

/** Profiles by the executable they ask for exactly, and those that must be asked about every window. */
export interface RuleIndex {
  /** Rules that ask for one executable exactly: found by a lookup. */
  readonly byExecutable: ReadonlyMap<string, readonly IndexedProfile[]>;
  /** All other rules, tried one after the other. */
  readonly others: readonly IndexedProfile[];
  /** Every profile of a program, in the person's order. */
  readonly order: readonly string[];
  /** What it was made from: the rules that apply to each profile, in that order. */
  readonly sources: readonly (readonly Rule[])[];
}

/**
 * Indexes a set-up's rules so that a change of front need not walk them. Given an earlier index whose rules are
 * the same, that one is kept.
 */
export function indexRules(setup: Setup, previous?: RuleIndex): RuleIndex {
  const order: string[] = [];
  const sources: (readonly Rule[])[] = [];
  const profiles = profilesByProgram(setup);
  for (const program of setup.programs) {
    for (const profile of profiles.get(program.id) ?? []) {
      order.push(profile.id);
      sources.push(profile.rules.length > 0 ? profile.rules : program.rules);
    }
  }
  if (previous && same(previous.order, order) && same(previous.sources, sources)) return previous;
  const byExecutable = new Map<string, IndexedProfile[]>();
  const others: IndexedProfile[] = [];
  order.forEach((profile, i) => {
    const indexed = indexProfile(profile, i, sources[i] ?? []);
    const names = indexed.positive.map(({ rule }) => exactExecutable(rule));
    if (names.some((name) => name === null)) others.push(indexed);
    else {
      for (const name of new Set(names.flatMap((known) => known ?? []))) {
        const list = byExecutable.get(name);
        if (list) list.push(indexed);
        else byExecutable.set(name, [indexed]);
      }
    }
  });
  return { byExecutable, others, order, sources };
}

/** Lists that an edit did not touch hold the same rules. */
function same<Item>(a: readonly Item[], b: readonly Item[]): boolean {
  return a.length === b.length && a.every((item, i) => item === b[i]);
}

/** Patterns are compiled once; a window must not wait for that. */
function indexProfile(profile: string, order: number, rules: readonly Rule[]): IndexedProfile {
  const compiled = rules.map((rule) => ({ rule, test: testOf(rule) }));
  const positive = compiled.filter(({ rule }) => !rule.negative);
  const negative = compiled.filter(({ rule }) => rule.negative).map(({ test }) => test);
  return { profile, order, positive: positive.toSorted((a, b) => compareRules(a.rule, b.rule)), negative };
}

/** The one field by which profiles can be found without asking each. */
function exactExecutable({ executable }: Rule): string | null {
  return executable?.match === 'exact' ? executable.text : null;
}

/** How each part of a rule is tested; made once, as a thousand rules are tried at every change of front. */
const FIELDS = {
  executable:
    (fits: (text: string) => boolean): Test =>
    ({ executable }) =>
      fits(executable),
  class:
    (fits: (text: string) => boolean): Test =>
    (window) =>
      fits(window.class),
  title:
    (fits: (text: string) => boolean): Test =>
    ({ title }) =>
      fits(title),
} as const;

/** The test of a rule; a pattern that does not compile (the schema refuses it) fits nothing. */
function testOf(rule: Rule): Test {
  const [first, second, third] = (['executable', 'class', 'title'] as const).flatMap((field) => {
    const pattern = rule[field];
    if (!pattern) return [];
    const compiled = compilePattern(pattern);
    return [FIELDS[field](compiled.ok ? compiled.value : () => false)];
  });
  if (!first) return () => false;
  if (!second) return first;
  return (window) => first(window) && second(window) && (third?.(window) ?? true);
}

/** Exact patterns are tried first: they are decided by a lookup. */
const EXACTNESS: Readonly<Record<Pattern['match'], number>> = { exact: 0, glob: 1, regex: 2 };

/**
 * Orders rules, the more specific first: by their most exact field (exact, glob, regular expression), then more
 * fields before fewer, then by the other fields. Equal ones are left to the person's order.
 */
export function compareRules(a: Rule, b: Rule): number {
  const [first, second] = [exactness(a), exactness(b)];
  const best = (first[0] ?? 3) - (second[0] ?? 3);
  if (best !== 0 || first.length !== second.length) return best || second.length - first.length;
  const differing = first.findIndex((value, i) => value !== second[i]);
  return differing < 0 ? 0 : (first[differing] ?? 0) - (second[differing] ?? 0);
}

/** Lower is more specific; compared field by field. */
function exactness({ executable, class: windowClass, title }: Rule): readonly number[] {
  const given = [executable, windowClass, title].flatMap((pattern) =>
    pattern ? [EXACTNESS[pattern.match]] : [],
  );
  return given.toSorted((x, y) => x - y);
}
