import type { PartKind, UnreadablePart } from '../unreadable.ts';
import { type Address, itemAt } from './address.ts';
import type { Draft } from './draft.ts';
import type { SingleEdit } from './edit.ts';
import type { Item } from './items.ts';

/** In which fields stored parts name others, and of which kind those are. */
const NAMES: Readonly<Record<PartKind, Readonly<Record<string, PartKind>>>> = {
  device: {},
  program: {},
  command: { program: 'program' },
  layer: {},
  page: { device: 'device', program: 'program', within: 'page', basedOn: 'page' },
  profile: { program: 'program', basedOn: 'profile' },
  macro: {},
  'radial-menu': {},
  binding: {
    profile: 'profile',
    layer: 'layer',
    device: 'device',
    onPage: 'page',
    page: 'page',
    command: 'command',
    macro: 'macro',
    radialMenu: 'radial-menu',
  },
};

/** Removes, with a part that cannot be read, those that are stored under it. */
export function removeDependents(
  draft: Draft,
  removed: Item,
  takeOut: (at: Address) => SingleEdit | null,
): readonly SingleEdit[] {
  const back: SingleEdit[] = [];
  const going = [removed as unknown as UnreadablePart];
  const seen = new Set(going.map(({ id }) => id));
  for (let part = going.pop(); part; part = going.pop()) {
    const under = part;
    const dependents = draft.setup.unreadable.filter((other) => !seen.has(other.id) && isUnder(other, under));
    for (const other of dependents) {
      seen.add(other.id);
      going.push(other);
      const edit = takeOut(itemAt.unreadable(other.id));
      if (edit) back.unshift(edit);
    }
  }
  return back;
}

/** Whether a stored part names another. */
function isUnder(part: UnreadablePart, under: UnreadablePart): boolean {
  return Object.entries(NAMES[part.part]).some(
    ([field, kind]) => kind === under.part && part.stored[field] === under.stored.id,
  );
}
