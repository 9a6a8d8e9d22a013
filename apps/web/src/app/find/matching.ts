import type { Found } from './findSource.ts';

/** How many are shown at once. */
const SHOWN = 40;

/** Items in whose words everything typed occurs; those that begin with it come first. */
export function matching(items: readonly Found[], typed: string): Found[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const textOf = ({ name, owner, shortcut }: Found) => `${name} ${owner} ${shortcut ?? ''}`.toLowerCase();
  const found = items.filter((item) => words.every((word) => textOf(item).includes(word)));
  const first = words[0] ?? '';
  const begins = (item: Found) => (item.name.toLowerCase().startsWith(first) ? 0 : 1);
  return found.toSorted((a, b) => begins(a) - begins(b)).slice(0, SHOWN);
}
