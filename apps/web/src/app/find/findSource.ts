import type { AppThunk, RootState } from '../store.ts';

/** Something that can be found by name. */
export interface Found {
  readonly key: string;
  readonly name: string;
  /** What it belongs to: a device, a program. */
  readonly owner: string;
  /** In our notation. */
  readonly shortcut: string | null;
  /** Further words beside it. */
  readonly hint: string | null;
  /** Further words it is found by, which are not shown. */
  readonly also?: string;
  /** The theme it chooses, for an item that does. */
  readonly theme?: 'system' | 'light' | 'dark';
  /** Chooses it; gives the path of the view that shows it, or null for what is done where one is. */
  readonly go: AppThunk<string | null>;
}

/** What Find finds: given by the view that has it, so that the shell need not know that view. */
export interface FindSource {
  readonly items: (state: RootState) => readonly Found[];
  /** Puts the keys where what was chosen is shown. */
  readonly focus: () => void;
}
