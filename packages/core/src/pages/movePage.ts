import { itemAt, type Page, pagesBelow, type Setup, type SingleEdit } from '../setup/index.ts';

/** Where a page is put: into a page or (null) on the device's own, after another one of its pages or (null) first. */
export interface PageTarget {
  readonly within: string | null;
  readonly after: string | null;
}

/**
 * The edits that put a page at another place among those of its device. Null where it cannot go there: into itself, or a
 * set into another page.
 */
export function movePage(
  setup: Setup,
  page: Page,
  { within, after }: PageTarget,
): readonly SingleEdit[] | null {
  const inside = [page.id, ...pagesBelow(setup, page.id).map(({ id }) => id)];
  if (within !== null && (page.kind === 'set' || inside.includes(within))) return null;
  if (after !== null && inside.includes(after)) return null;
  const at = itemAt.page(page.id);
  const others = setup.pages.filter(({ id }) => id !== page.id);
  const first = others.findIndex(({ device }) => device === page.device);
  // First of the device's, wherever those of other devices stand.
  const before = after ?? (first <= 0 ? null : (others[first - 1]?.id ?? null));
  const now = setup.pages[setup.pages.findIndex(({ id }) => id === page.id) - 1]?.id ?? null;
  const moves: SingleEdit[] = before === now ? [] : [{ kind: 'move', at, after: before }];
  return page.within === within ? moves : [...moves, { kind: 'set', at, fields: { within } }];
}
