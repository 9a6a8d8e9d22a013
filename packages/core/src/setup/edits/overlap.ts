import { type Address, isWithin } from './address.ts';
import { type Edit, partsOf, type SingleEdit, together } from './edit.ts';
import { sameJson } from './sameJson.ts';
import { fieldOf } from './undoing.ts';

/** What a later edit took from an earlier one, and the edit that brings the earlier one's values back. */
export interface Overwritten {
  readonly at: Address;
  /** The paths of fields; none where the whole item was removed. */
  readonly fields: readonly string[];
  /** What puts one's own back. */
  readonly back: Edit;
}

/**
 * What of `mine` a later edit overwrote: the same fields set to something else, or the item removed. `inverse` takes
 * the later edit back. Null where both stand side by side.
 */
export function overwrittenBy(mine: Edit, later: Edit, inverse: Edit): Overwritten | null {
  const own = partsOf(mine).filter((part) => part.kind !== 'remove');
  const removed = partsOf(later).find(
    (part) => part.kind === 'remove' && own.some(({ at }) => isWithin(at, part.at)),
  );
  if (removed) return { at: removed.at, fields: [], back: inverse };
  const back: SingleEdit[] = [];
  const fields: string[] = [];
  for (const theirs of partsOf(later)) {
    for (const part of own) {
      if (theirs.kind !== 'set' || part.kind !== 'set' || part.at !== theirs.at) continue;
      const lost = Object.entries(part.fields).filter(([path, value]) => isLost(path, value, theirs.fields));
      if (lost.length === 0) continue;
      fields.push(...lost.map(([path]) => path));
      back.push({ kind: 'set', at: part.at, fields: Object.fromEntries(lost) });
    }
  }
  const [first] = back;
  return first ? { at: first.at, fields, back: together(back) } : null;
}

/** A field lies in another, is the same, or holds it; only a different value is a loss. */
function isLost(path: string, value: unknown, theirs: Readonly<Record<string, unknown>>): boolean {
  return Object.entries(theirs).some(([other, now]) => {
    if (other === path) return !sameJson(now, value);
    if (path.startsWith(`${other}.`)) return !sameJson(fieldOf(now, path.slice(other.length + 1)), value);
    return other.startsWith(`${path}.`) && !sameJson(fieldOf(value, other.slice(path.length + 1)), now);
  });
}
