import type { Fault } from './fault.ts';
import { FOLDERS_DEEP, type Page } from './page.ts';
import type { Refusal } from './refusal.ts';
import type { Setup } from './setup.ts';

/** What is wrong with a page: something it names is not there, or folders stand in each other in a circle or too deep. */
export function checkPage(setup: Setup, page: Page): Refusal | null {
  return faultOfPage(setup, page)?.refusal ?? null;
}

/** The same of every page, each with where it is. */
export function faultsOfPages(setup: Setup): readonly Fault[] {
  return setup.pages.flatMap((page, i): readonly Fault[] => {
    const fault = faultOfPage(setup, page);
    return fault ? [{ ...fault, at: ['pages', i, ...fault.at] }] : [];
  });
}

function faultOfPage(setup: Setup, page: Page): Fault | null {
  const { device, program } = page;
  if (!setup.devices.some(({ id }) => id === device)) {
    return { at: ['device'], refusal: { code: 'unknown-device', device } };
  }
  if (program !== null && !setup.programs.some(({ id }) => id === program)) {
    return { at: ['program'], refusal: { code: 'unknown-program', program } };
  }
  const within = wrongWithin(setup, page);
  if (within) return { at: ['within'], refusal: within };
  const base = wrongBase(setup, page);
  return base && { at: ['basedOn'], refusal: base };
}

/** From a page through those it is based on. */
function wrongBase({ pages }: Setup, { id, name, device, basedOn }: Page): Refusal | null {
  const seen = new Set([id]);
  for (let next = basedOn; next !== null; ) {
    if (seen.has(next)) return { code: 'page-base-circle', page: name };
    seen.add(next);
    const found = pages.find((each) => each.id === next);
    if (!found) return { code: 'unknown-page', page: next };
    if (found.device !== device) return { code: 'page-of-other-device', page: found.name };
    next = found.basedOn;
  }
  return null;
}

/** From a page up through those it is kept in. */
function wrongWithin(setup: Setup, page: Page): Refusal | null {
  if (page.within === null) return null;
  if (page.kind === 'set') return { code: 'set-within', page: page.name };
  const above = pagesAbove(setup, page);
  const under = above.at(-1) ?? page;
  if (under.within !== null) {
    const isCircle = under.within === page.id || above.some(({ id }) => id === under.within);
    return isCircle
      ? { code: 'folder-circle', page: page.name }
      : { code: 'unknown-page', page: under.within };
  }
  const other = above.find(({ device }) => device !== page.device);
  if (other) return { code: 'page-of-other-device', page: other.name };
  return above.length + 1 + depthBelow(setup, page) > FOLDERS_DEEP
    ? { code: 'too-deep', page: page.name, limit: FOLDERS_DEEP }
    : null;
}

/** The pages that a page is kept in, the nearest first; a circle is cut where it closes. */
export function pagesAbove({ pages }: Pick<Setup, 'pages'>, page: Page): readonly Page[] {
  const above: Page[] = [];
  for (let next = page.within; next !== null; ) {
    const found = pages.find(({ id }) => id === next);
    if (!found || found.id === page.id || above.includes(found)) break;
    above.push(found);
    next = found.within;
  }
  return above;
}

/** The pages kept in a page, in it or further down, each after the one it is in. */
export function pagesBelow({ pages }: Pick<Setup, 'pages'>, page: string): readonly Page[] {
  const found: Page[] = [];
  const ids = [page];
  for (let id = ids.shift(); id !== undefined; id = ids.shift()) {
    const inside = pages.filter(({ within }) => within === id).filter((each) => !found.includes(each));
    found.push(...inside);
    ids.push(...inside.map((each) => each.id));
  }
  return found;
}

/** How many folders stand in each other inside a page. */
function depthBelow(setup: Setup, page: Page): number {
  const below = pagesBelow(setup, page.id);
  const depths = below.map((each) => pagesAbove(setup, each).findIndex(({ id }) => id === page.id) + 1);
  return Math.max(0, ...depths);
}
