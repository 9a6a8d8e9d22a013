import type { FormatProblem } from '../../formats/index.ts';
import type { Command } from '../../setup/index.ts';

/** A line of a list of commands, as it was read. */
export interface ListLine {
  /** From 1, of the text that was given. */
  readonly line: number;
  readonly cells: readonly string[];
  /** What our own format says besides what stands in cells. */
  readonly given?: Partial<Command>;
}

/** In what form a list was written. */
export type ListForm = 'json' | 'html' | 'markdown' | 'table' | 'lines';

/** A line that could not be taken apart, and why: a quote that is not closed, nothing at all, our format misused. */
export type ListProblem =
  | { readonly line: number; readonly code: 'quote-open' | 'list-empty' | 'list-too-long' }
  | { readonly line: number; readonly code: 'list-format'; readonly problem: FormatProblem };

/** A list as it was read: its lines, and those that could not be. */
export interface ListText {
  readonly form: ListForm;
  readonly lines: readonly ListLine[];
  readonly problems: readonly ListProblem[];
}
