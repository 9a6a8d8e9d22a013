import type { Setup } from '../setup.ts';
import type { AddressStep } from './address.ts';
import type { Item } from './items.ts';

/** An item that may be written to. */
export type OwnItem = { [field: string]: unknown };
/** What holds items: a list, or profiles and bindings by their ids. */
type Held = OwnItem[] | { [id: string]: OwnItem };

/**
 * A set-up that is being changed. What is written to is copied first, once for all the changes of the draft, so the
 * set-up it began with stays as it is and what is not touched is shared with it.
 */
export class Draft {
  /** The profiles that got bindings. */
  readonly grown = new Set<string>();
  #setup: Setup;
  readonly #copied = new WeakSet<object>();

  constructor(setup: Setup) {
    this.#setup = setup;
  }

  get setup(): Setup {
    return this.#setup;
  }

  /** The item at an address as it is now; null where there is none. */
  find(steps: readonly AddressStep[]): Item | null {
    let item: Item = this.#setup;
    for (const { name, id } of steps) {
      const held = item[name] as Held | undefined;
      const next: Item | undefined = Array.isArray(held)
        ? held.find((each) => each.id === id)
        : held && Object.hasOwn(held, id)
          ? held[id]
          : undefined;
      if (!next) return null;
      item = next;
    }
    return item;
  }

  /** The same item, to be written to; null where there is none. */
  own(steps: readonly AddressStep[]): OwnItem | null {
    let item = this.copy(this.#setup as unknown as OwnItem);
    this.#setup = item as unknown as Setup;
    for (const { name, id } of steps) {
      const held = this.listOf(item, name);
      const key = Array.isArray(held) ? held.findIndex((each) => each.id === id) : id;
      const found = Array.isArray(held)
        ? held[key as number]
        : Object.hasOwn(held, id)
          ? held[id]
          : undefined;
      if (!found) return null;
      item = this.copy(found);
      (held as { [key: string | number]: OwnItem })[key] = item;
    }
    return item;
  }

  /** A list of an item that is being written to, to be written to itself. */
  listOf(item: OwnItem, name: string): Held {
    const held = this.copy((item[name] ?? []) as Held);
    item[name] = held;
    return held;
  }

  /** A value's own copy in this draft. */
  copy<Value extends object>(value: Value): Value {
    if (this.#copied.has(value)) return value;
    const copied = (Array.isArray(value) ? [...value] : { ...value }) as Value;
    this.#copied.add(copied);
    return copied;
  }
}
