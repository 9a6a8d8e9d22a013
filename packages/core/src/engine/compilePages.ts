import { coveringFolders } from '../resolve/index.ts';
import type { Page, Setup } from '../setup/index.ts';

/** The pages of a set-up made ready. */
export interface CompiledPages {
  /** What they were made from, to be known again after an edit. */
  readonly source: readonly Page[];
  readonly byId: ReadonlyMap<string, Page>;
  /** By device: its sets, in the person's order. A device without sets has no entry. */
  readonly sets: ReadonlyMap<string, readonly Page[]>;
  /** Folders that let nothing through but turns and slides. */
  readonly covering: ReadonlySet<string>;
}

/** Makes the pages of a set-up ready. */
export function compilePages(setup: Setup): CompiledPages {
  const sets = new Map<string, Page[]>();
  for (const page of setup.pages) {
    if (page.kind !== 'set') continue;
    const list = sets.get(page.device);
    if (list) list.push(page);
    else sets.set(page.device, [page]);
  }
  const byId = new Map(setup.pages.map((page) => [page.id, page]));
  return { source: setup.pages, byId, sets, covering: coveringFolders(setup) };
}
