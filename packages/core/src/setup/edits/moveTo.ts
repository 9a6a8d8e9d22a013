import type { Address } from './address.ts';
import type { SingleEdit } from './edit.ts';
import { placeIn } from './places.ts';

/** The edit that moves the item with an id to an index of its list, counted without it. */
export function moveTo(
  at: Address,
  list: readonly { readonly id: string }[],
  id: string,
  index: number,
): SingleEdit {
  const others = list.filter((item) => item.id !== id);
  return { kind: 'move', at, after: placeIn(others, index) };
}
