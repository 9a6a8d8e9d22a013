import { z } from 'zod';
import { because, ID_PATTERN } from '../../devices/index.ts';
import { type Slot, slotKey, slotOf } from '../binding.ts';
import type { ItemKind } from '../itemKinds.ts';
import { type ItemList, shapeOf } from './items.ts';

/**
 * Where an item is in a set-up: names of lists and ids in turn, for instance
 * `devices/bench-dial/controls/dial` or `profiles/larkframe/bindings/base/bench-dial/dial/press`.
 * The set-up itself is the empty text.
 */
export type Address = string;

/** A list and the item in it. */
export interface AddressStep {
  readonly name: string;
  readonly list: ItemList;
  readonly id: string;
}

/** An address taken apart, with the kind of item it leads to. */
export interface ParsedAddress {
  readonly kind: ItemKind;
  /** From the top of the set-up. */
  readonly steps: readonly AddressStep[];
}

/** Pieces of a slot key. */
const SLOT_PIECES = 4;
/** Deeper than any item is. */
const MOST_PIECES = 40;

/** Addresses are read over and over; the newest are kept. */
const parsed = new Map<Address, ParsedAddress | null>();
const MOST_PARSED = 20_000;

/** Takes an address apart; null for a text that is none. */
export function parseAddress(address: Address): ParsedAddress | null {
  const found = parsed.get(address);
  if (found !== undefined) return found;
  const made = parse(address);
  if (parsed.size >= MOST_PARSED) parsed.clear();
  parsed.set(address, made);
  return made;
}

/** A list that an item does not have leads nowhere. */
function parse(address: Address): ParsedAddress | null {
  const steps: AddressStep[] = [];
  let kind: ItemKind = 'setup';
  const pieces = address === '' ? [] : address.split('/');
  if (pieces.length > MOST_PIECES) return null;
  for (let i = 0; i < pieces.length; ) {
    const name = pieces[i] ?? '';
    const { lists } = shapeOf(kind);
    const list: ItemList | undefined = Object.hasOwn(lists, name) ? lists[name] : undefined;
    if (!list) return null;
    const length = list.of === 'binding' ? SLOT_PIECES : 1;
    const id = pieces.slice(i + 1, i + 1 + length).join('/');
    const fits = list.of === 'binding' ? slotOf('any', id) !== null : ID_PATTERN.test(id);
    if (!fits) return null;
    steps.push({ name, list, id });
    kind = list.of;
    i += 1 + length;
  }
  return { kind, steps };
}

/** An address as edits carry it. */
export const addressSchema = z
  .string()
  .max(600)
  .refine((address) => parseAddress(address) !== null, because('address'));

/** The address of an item that stands in a list, which the set-up itself does not. */
export const itemAddressSchema = addressSchema.refine((address) => address !== '', because('address'));

/** The addresses of items. */
export const itemAt = {
  device: (device: string): Address => `devices/${device}`,
  control: (device: string, control: string): Address => `devices/${device}/controls/${control}`,
  program: (program: string): Address => `programs/${program}`,
  layer: (layer: string): Address => `layers/${layer}`,
  page: (page: string): Address => `pages/${page}`,
  profile: (profile: string): Address => `profiles/${profile}`,
  binding: ({ profile, layer, device, control, trigger }: Slot): Address =>
    `profiles/${profile}/bindings/${slotKey(layer, device, control, trigger)}`,
  macro: (macro: string): Address => `macros/${macro}`,
  radialMenu: (menu: string): Address => `radialMenus/${menu}`,
  unreadable: (part: string): Address => `unreadable/${part}`,
} as const;

/** The slot of a binding's address; null for another item's. */
export function slotAt(address: Address): Slot | null {
  const [profile, binding] = parseAddress(address)?.steps ?? [];
  return profile && binding?.list.of === 'binding' ? slotOf(profile.id, binding.id) : null;
}

/** Whether an item is another one or inside it. */
export function isWithin(address: Address, other: Address): boolean {
  return address === other || other === '' || address.startsWith(`${other}/`);
}
