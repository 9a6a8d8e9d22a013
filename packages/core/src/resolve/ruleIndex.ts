import { compilePattern, type Pattern, profilesOf, type Rule, type Setup } from '../setup/index.ts';
import type { FrontWindow } from './frontWindow.ts';

type Test = (window: FrontWindow) => boolean;

/** A profile's rules made ready: those that let windows in, most specific first, and those that keep them out. */
export interface IndexedProfile {
  readonly profile: string;
  /** Place in the person's order. */
  readonly order: number;
  readonly positive: readonly { readonly rule: Rule; readonly test: Test }[];
  readonly negative: readonly Test[];
}

/** Profiles by the executable they ask for exactly, and those that must be asked about every window. */
export interface RuleIndex {
  readonly byExecutable: ReadonlyMap<string, readonly IndexedProfile[]>;
  readonly others: readonly IndexedProfile[];
}

/** Indexes a set-up's rules so that a change of front need not walk them. */
export function indexRules(setup: Setup): RuleIndex {
  const byExecutable = new Map<string, IndexedProfile[]>();
  const others: IndexedProfile[] = [];
  let order = 0;
  for (const program of setup.programs) {
    for (const profile of profilesOf(setup, program.id)) {
      const rules = profile.rules.length > 0 ? profile.rules : program.rules;
      const indexed = indexProfile(profile.id, order, rules);
      order += 1;
      const names = indexed.positive.map(({ rule }) => exactExecutable(rule));
      if (names.every((name) => name !== null)) {
        for (const name of new Set(names))
          byExecutable.set(name, [...(byExecutable.get(name) ?? []), indexed]);
      } else others.push(indexed);
    }
  }
  return { byExecutable, others };
}

function indexProfile(profile: string, order: number, rules: readonly Rule[]): IndexedProfile {
  const compiled = rules.map((rule) => ({ rule, test: testOf(rule) }));
  const positive = compiled.filter(({ rule }) => !rule.negative);
  const negative = compiled.filter(({ rule }) => rule.negative).map(({ test }) => test);
  return { profile, order, positive: positive.toSorted((a, b) => compareRules(a.rule, b.rule)), negative };
}

function exactExecutable({ executable }: Rule): string | null {
  return executable?.match === 'exact' ? executable.text : null;
}

/** The test of a rule; a pattern that does not compile (the schema refuses it) fits nothing. */
function testOf(rule: Rule): Test {
  const fields = (['executable', 'class', 'title'] as const).flatMap((field) => {
    const pattern = rule[field];
    if (!pattern) return [];
    const compiled = compilePattern(pattern);
    const fits = compiled.ok ? compiled.value : () => false;
    return [(window: FrontWindow) => fits(window[field])];
  });
  return (window) => fields.length > 0 && fields.every((fits) => fits(window));
}

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

function exactness({ executable, class: windowClass, title }: Rule): readonly number[] {
  const given = [executable, windowClass, title].flatMap((pattern) =>
    pattern ? [EXACTNESS[pattern.match]] : [],
  );
  return given.toSorted((x, y) => x - y);
}
