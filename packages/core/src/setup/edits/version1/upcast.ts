import { type Binding, keyOf } from '../../binding.ts';
import type { Setup } from '../../setup.ts';
import { type Address, itemAt, parseAddress } from '../address.ts';
import { bindingChanges, changesOf } from '../changes.ts';
import { Draft } from '../draft.ts';
import { type Edit, editSchema, type SingleEdit, together } from '../edit.ts';
import type { Item } from '../items.ts';
import { moveTo } from '../moveTo.ts';
import { placeIn } from '../places.ts';
import { edit1WithPages } from '../version2/index.ts';
import { type Edit1, edit1Schema, type Single1, singles1 } from './edit1.ts';
import { macroWithIds, menuWithIds, rulesWithIds } from './withIds.ts';

/** What an entry of the log did and what takes it back, as version 1 wrote them. */
export interface Pair1 {
  readonly edit: unknown;
  /** Null for an entry that was never saved: then what is there now stands for what was before. */
  readonly inverse: unknown;
}

/**
 * Brings an entry of version 1 up to date: what its whole items changed becomes the fields that were changed. The
 * set-up as it is now tells the places that version 1 gave by number. Null where it cannot be read.
 */
export function upcastPair(setup: Setup, pair: Pair1): { edit: Edit; inverse: Edit | null } | null {
  const edit = edit1Schema.safeParse(edit1WithPages(setup, pair.edit)).data;
  const inverse =
    pair.inverse === null ? null : edit1Schema.safeParse(edit1WithPages(setup, pair.inverse)).data;
  if (!edit || inverse === undefined) return null;
  const forth = upcast(setup, edit, inverse);
  const back = inverse && upcast(setup, inverse, edit);
  return forth && (back || !inverse) ? { edit: forth, inverse: back } : null;
}

/**
 * An edit brought up to date, with the help of the one that takes it back: that one knows the ids that stood at a
 * place. Null where the two do not belong together.
 */
function upcast(setup: Setup, edit: Edit1, other: Edit1 | null): Edit | null {
  const parts = singles1(edit);
  const others = other ? singles1(other).toReversed() : null;
  if (others && others.length !== parts.length) return null;
  const made = parts.flatMap((part, i) => upcastSingle(setup, part, others?.[i] ?? null));
  return editSchema.safeParse(together(made)).data ?? null;
}

/** What was there before an edit: what the other edit of the pair puts there, else what is there now. */
function upcastSingle(setup: Setup, part: Single1, other: Single1 | null): readonly SingleEdit[] {
  switch (part.kind) {
    case 'set-binding': {
      const now = setup.profiles[part.slot.profile]?.bindings[keyOf(part.slot)] ?? null;
      const before = other ? (other.kind === part.kind ? (other.binding as Binding | null) : null) : now;
      return bindingChanges(part.slot, before, part.binding as Binding | null);
    }
    case 'set-face':
      return [{ kind: 'set', at: itemAt.binding(part.slot), fields: { face: part.face } }];
    case 'set-note':
      return [{ kind: 'set', at: itemAt.binding(part.slot), fields: { note: part.note } }];
    case 'add-program':
      return [
        {
          kind: 'add',
          at: itemAt.program(part.program.id),
          item: rulesWithIds(part.program),
          after: placeIn(setup.programs, part.at),
        },
        ...part.profiles.map(
          (profile): SingleEdit => ({
            kind: 'add',
            at: itemAt.profile(profile.id),
            item: rulesWithIds(profile),
            after: null,
          }),
        ),
      ];
    case 'rename-program':
      return [{ kind: 'set', at: itemAt.program(part.program), fields: { name: part.name } }];
    case 'remove-program':
      return [{ kind: 'remove', at: itemAt.program(part.program) }];
    case 'move-program':
      return [moveTo(itemAt.program(part.program), setup.programs, part.program, part.to)];
    case 'set-device':
      return setPart(setup.devices, itemAt.device(part.id), part, other, setup);
    case 'set-layer':
      return setPart(setup.layers, itemAt.layer(part.id), part, other, setup);
    case 'set-macro':
      return setPart(setup.macros, itemAt.macro(part.id), part, other, setup);
    case 'set-radial-menu':
      return setPart(setup.radialMenus, itemAt.radialMenu(part.id), part, other, setup);
  }
}

/** Edits of parts of the set-up by their place. */
type PartEdit1 = Extract<Single1, { at: number; id: string }>;
/** A list of things with ids. */
type Listed = readonly { readonly id: string }[];

/** A part that was set as a whole becomes an addition, a removal, or the fields that differ. */
function setPart(
  list: Listed,
  at: Address,
  part: PartEdit1,
  other: Single1 | null,
  setup: Setup,
): readonly SingleEdit[] {
  const now = new Draft(setup).find(parseAddress(at)?.steps ?? []);
  const counterpart = other?.kind === part.kind ? other : null;
  const before = other ? withIds(part, counterpart?.item ?? null) : now;
  const after = withIds(part, part.item);
  if (!after) return [{ kind: 'remove', at }];
  const others = list.filter(({ id }) => id !== part.id);
  if (!before) return [{ kind: 'add', at, item: after, after: placeIn(others, part.at) }];
  const from = counterpart?.at ?? list.findIndex(({ id }) => id === part.id);
  const moved = from === part.at ? [] : [moveTo(at, list, part.id, part.at)];
  return [...changesOf(at, before, after), ...moved];
}

/** Steps and items had no ids in the first version; they get them by their place, the same each time. */
function withIds({ kind }: PartEdit1, item: Item | null): Item | null {
  if (!item) return null;
  switch (kind) {
    case 'set-macro':
      return macroWithIds(item);
    case 'set-radial-menu':
      return menuWithIds(item);
    case 'set-device':
    case 'set-layer':
      return item;
  }
}
