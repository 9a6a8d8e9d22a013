import { comparePresses, deadMark, type Layout, type Press, pressEffort } from './layout.ts';

/** Presses one after the other that type one character. */
export type Way = readonly Press[];

/** By character: every way to type it, fewest and easiest presses first. */
export type Ways = ReadonlyMap<string, readonly Way[]>;

/** What a dead key gives with the space bar, by its mark (X.Org's Compose for en_US.UTF-8). */
const SPACING: Readonly<Record<string, string>> = {
  '\u0300': '`',
  '\u0301': "'",
  '\u0302': '^',
  '\u0303': '~',
  '\u0304': '¯',
  '\u0306': '˘',
  '\u0307': '˙',
  '\u0308': '"',
  '\u030a': '°',
  '\u030b': '˝',
  '\u030c': 'ˇ',
  '\u0327': '¸',
  '\u0328': '˛',
};

/** Letters with a stroke, which Unicode does not compose of a letter and its mark (X.Org's Compose, `dead_stroke`). */
const STROKED: Readonly<Record<string, string>> = {
  ...{ b: 'ƀ', d: 'đ', g: 'ǥ', h: 'ħ', i: 'ɨ', l: 'ł', o: 'ø', t: 'ŧ', z: 'ƶ' },
  ...{ B: 'Ƀ', D: 'Đ', G: 'Ǥ', H: 'Ħ', I: 'Ɨ', L: 'Ł', O: 'Ø', T: 'Ŧ', Z: 'Ƶ' },
};
const STROKE = '\u0335';
const TILDE = '\u0303';
const PERISPOMENI = '\u0342';

/** Ways of layouts, found when they are first asked for. */
const known = new WeakMap<Layout, Ways>();

/** Every way to type the characters of a layout: by a key, after a dead key, after two. */
export function waysOf(layout: Layout): Ways {
  const before = known.get(layout);
  if (before) return before;
  const found = findWays(layout.keys);
  known.set(layout, found);
  return found;
}

/** A dead key and what it puts on the next character. */
interface Dead {
  readonly mark: string;
  readonly press: Press;
}

function findWays(keys: Layout['keys']): Ways {
  const ways = new Map<string, Way[]>();
  const dead: Dead[] = [];
  for (const [code, levels] of Object.entries(keys)) {
    levels.forEach((character, level) => {
      const press = { code, shift: level % 2 === 1, altGr: level >= 2 };
      const mark = deadMark(character);
      if (mark) dead.push({ mark, press });
      else if (character !== '') addWay(ways, character, [press]);
    });
  }
  const direct = bestOf(ways);
  for (const each of dead) addComposed(ways, each, direct);
  const composed = new Map<string, Way[]>();
  for (const each of dead) addComposed(composed, each, direct);
  // A second mark on a letter that has one: only on what a dead key has just given.
  for (const each of dead) addComposed(ways, each, bestOf(composed));
  for (const list of ways.values()) list.sort(compareWays);
  return ways;
}

/** Adds what a dead key makes of characters. */
function addComposed(ways: Map<string, Way[]>, { mark, press }: Dead, bases: ReadonlyMap<string, Way>): void {
  for (const [base, way] of bases) {
    const composed = base === ' ' ? SPACING[mark] : composedOf(base, mark);
    if (composed) addWay(ways, composed, [press, ...way]);
  }
}

/** By Unicode composition (NFC): a letter and its mark that are one character together. */
function composedOf(base: string, mark: string): string | null {
  if (mark === STROKE) return STROKED[base] ?? null;
  // Greek layouts have the tilde for the perispomeni, as Compose has.
  const own = mark === TILDE && /^\p{Script=Greek}$/u.test(base) ? PERISPOMENI : mark;
  const composed = (base + own).normalize('NFC');
  return Array.from(composed).length === 1 ? composed : null;
}

function addWay(ways: Map<string, Way[]>, character: string, way: Way): void {
  const others = ways.get(character);
  if (others) others.push(way);
  else ways.set(character, [way]);
}

/** The best way of each character. */
function bestOf(ways: ReadonlyMap<string, readonly Way[]>): ReadonlyMap<string, Way> {
  return new Map(
    [...ways].flatMap(([character, list]) => {
      const [first] = list.toSorted(compareWays);
      return first ? [[character, first] as const] : [];
    }),
  );
}

/** Fewer presses first, then fewer and easier modifiers, then the first key's place in the key table. */
function compareWays(a: Way, b: Way): number {
  const effort = (way: Way) => way.reduce((sum, press) => sum + pressEffort(press), 0);
  const [first, second] = [a[0], b[0]];
  if (!first || !second) return a.length - b.length;
  return a.length - b.length || effort(a) - effort(b) || comparePresses(first, second);
}
