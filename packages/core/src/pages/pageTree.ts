import type { Page, Setup } from '../setup/index.ts';

/** A page with the folders that are kept in it. */
export interface Branch {
  readonly page: Page;
  readonly inside: readonly Branch[];
}

/** The pages of a device as they are listed: sets in the person's order, then folders, each with those in it. */
export function pageTree({ pages }: Pick<Setup, 'pages'>, device: string): readonly Branch[] {
  const own = pages.filter((page) => page.device === device);
  const under = (within: string | null, seen: readonly string[]): readonly Branch[] =>
    own
      .filter((page) => page.within === within && !seen.includes(page.id))
      .map((page) => ({ page, inside: under(page.id, [...seen, page.id]) }));
  const top = under(null, []);
  const isSet = ({ page }: Branch) => page.kind === 'set';
  return [...top.filter(isSet), ...top.filter((branch) => !isSet(branch))];
}

/** The branches of a tree in the order in which they are drawn, with how deep each is. */
export function flatTree(
  branches: readonly Branch[],
  depth = 0,
): readonly { readonly page: Page; readonly depth: number }[] {
  return branches.flatMap(({ page, inside }) => [{ page, depth }, ...flatTree(inside, depth + 1)]);
}

/** A name for a new page of a device that no other of its pages has: `Folder`, `Folder 2`… */
export function newPageName({ pages }: Pick<Setup, 'pages'>, device: string, word: string): string {
  const names = new Set(pages.filter((page) => page.device === device).map(({ name }) => name));
  let name = word;
  for (let i = 2; names.has(name); i++) name = `${word} ${i}`;
  return name;
}
