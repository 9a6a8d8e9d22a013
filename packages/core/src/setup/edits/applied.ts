import type { Result } from '../../result.ts';
import type { Refusal } from '../refusal.ts';
import type { Setup } from '../setup.ts';
import type { Edit, SingleEdit } from './edit.ts';

/** A set-up after an edit, with the edit that takes it back. */
export interface Applied {
  /** After the edit; what it did not touch is the same object as before. */
  readonly setup: Setup;
  /** The edit that takes it back. */
  readonly inverse: Edit;
}

/** The edits that take a single one back, in the order in which they are applied. */
export type Undone = Result<readonly SingleEdit[], Refusal>;
