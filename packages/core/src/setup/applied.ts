import type { Edit, SingleEdit } from './edit.ts';
import type { Setup } from './setup.ts';

/** A set-up after an edit, with the edit that takes it back. */
export interface Applied {
  readonly setup: Setup;
  readonly inverse: Edit;
}

/** A single edit's outcome; its inverse is a single edit too. */
export interface AppliedSingle extends Applied {
  readonly inverse: SingleEdit;
}
