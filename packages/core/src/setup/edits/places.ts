import { refuse } from '../../result.ts';
import type { Refusal } from '../refusal.ts';
import { type Address, type AddressStep, type ParsedAddress, parseAddress } from './address.ts';
import type { OwnItem } from './draft.ts';

/** An address taken apart, with its last step; edits are checked to have one that can be. */
export function targetOf(at: Address): ParsedAddress & { last: AddressStep; above: readonly AddressStep[] } {
  const parsed = parseAddress(at);
  const last = parsed?.steps.at(-1);
  if (!parsed || !last) throw new Error(`“${at}” is no address of an item.`);
  return { ...parsed, last, above: parsed.steps.slice(0, -1) };
}

/** The refusal of an edit whose item is no longer there. */
export function gone({ kind, last }: Pick<ReturnType<typeof targetOf>, 'kind' | 'last'>) {
  return refuse<Refusal>({ code: 'item-gone', item: kind, id: last.id });
}

/** What the item at an index of a list stands after; null for the first. */
export function placeIn(list: readonly { readonly id?: unknown }[], index: number): string | null {
  const before = list[Math.min(index, list.length) - 1];
  return before ? String(before.id) : null;
}

/** Where an item goes that shall stand after another: at the end where that one is gone. */
export function indexAfter(list: readonly OwnItem[], after: string | null): number {
  if (after === null) return 0;
  const index = list.findIndex(({ id }) => id === after);
  return index < 0 ? list.length : index + 1;
}
