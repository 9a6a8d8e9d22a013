import { coveringFolders } from '../resolve/index.ts';
import { basesOf, type Page, type Setup } from '../setup/index.ts';

/** The sets of a device. */
export interface CompiledSets {
  /** In the person's order. */
  readonly all: readonly Page[];
  /** By program: its first that follows it. */
  readonly following: ReadonlyMap<string, string>;
}

/** The pages of a set-up made ready. */
export interface CompiledPages {
  /** What they were made from, to be known again after an edit. */
  readonly source: readonly Page[];
  readonly byId: ReadonlyMap<string, Page>;
  /** By device; one without sets has no entry. */
  readonly sets: ReadonlyMap<string, CompiledSets>;
  /** Folders that let nothing through but turns and slides. */
  readonly covering: ReadonlySet<string>;
  /** By page: those it is based on, the nearest first; one that is based on none has no entry. */
  readonly bases: ReadonlyMap<string, readonly string[]>;
}

/** Makes the pages of a set-up ready. */
export function compilePages(setup: Setup): CompiledPages {
  const sets = new Map<string, { readonly all: Page[]; readonly following: Map<string, string> }>();
  for (const page of setup.pages) {
    if (page.kind !== 'set') continue;
    const { id, device, program, follows } = page;
    const own = sets.get(device) ?? { all: [], following: new Map<string, string>() };
    sets.set(device, own);
    own.all.push(page);
    if (follows && program !== null && !own.following.has(program)) own.following.set(program, id);
  }
  const byId = new Map(setup.pages.map((page) => [page.id, page]));
  const based = setup.pages.filter(({ basedOn }) => basedOn !== null);
  const bases = new Map(based.map(({ id }) => [id, basesOf(setup, id)]));
  return { source: setup.pages, byId, sets, covering: coveringFolders(setup), bases };
}
