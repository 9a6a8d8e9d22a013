import type { SnapshotHead } from '@nimble-lever/core/vault';
import { WORDS } from '../words.ts';

/** What a snapshot is called: by its name, or by why it was made by itself. */
export function snapshotName({ kind, name }: Pick<SnapshotHead, 'kind' | 'name'>): string {
  return name ?? WORDS.byItself[kind];
}
