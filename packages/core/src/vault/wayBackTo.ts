import {
  type Edit,
  type LogEntry,
  MOST_TOGETHER,
  partsOf,
  type SingleEdit,
  together,
} from '../setup/index.ts';

/** What becomes of going back. */
export type WayBack =
  | { readonly kind: 'edit'; readonly edit: Edit }
  /** Nothing came after. */
  | { readonly kind: 'there' }
  /** An edit in between cannot be read any more, or they are more than apply as one. */
  | { readonly kind: 'unknown' | 'too-many' };

/**
 * The one edit that makes a set-up what it was before some edits: each is taken back, the newest first. As any edit it can
 * be undone.
 *
 * @param entries everything after the moment to go back to, newest first
 */
export function wayBackTo(entries: readonly Pick<LogEntry, 'inverse'>[]): WayBack {
  const parts: SingleEdit[] = [];
  for (const { inverse } of entries) {
    if (!inverse) return { kind: 'unknown' };
    for (const part of partsOf(inverse)) add(parts, part);
    if (parts.length > MOST_TOGETHER) return { kind: 'too-many' };
  }
  return parts.length === 0 ? { kind: 'there' } : { kind: 'edit', edit: together(parts) };
}

/** What is set several times in a row goes back once. Nothing changes places: what comes later may need what came before. */
function add(parts: SingleEdit[], part: SingleEdit): void {
  const last = parts.at(-1);
  const joins =
    part.kind === 'set' &&
    last?.kind === 'set' &&
    last.at === part.at &&
    Object.keys(part.fields).every((path) => Object.keys(last.fields).every((own) => isApart(own, path)));
  if (joins) parts.splice(-1, 1, { ...last, fields: { ...last.fields, ...part.fields } });
  else parts.push(part);
}

/** Whether two fields are the same or have nothing to do with each other: not one inside the other. */
function isApart(a: string, b: string): boolean {
  return a === b || !(a.startsWith(`${b}.`) || b.startsWith(`${a}.`));
}
