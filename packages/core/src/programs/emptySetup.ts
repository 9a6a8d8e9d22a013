import {
  BASE_LAYER,
  bindingChanges,
  type Edit,
  EVERYWHERE,
  itemAt,
  namedByAction,
  namedByBinding,
  namedByMacro,
  type Setup,
  type SingleEdit,
  slotOf,
  together,
} from '../setup/index.ts';
import { inOrder } from './inOrder.ts';

/**
 * The edit that takes everything a person arranged out of a set-up, as one: devices, programs, layers, macros, menus and
 * all bindings. What means the same in most programs stays, and so does what could not be read.
 */
export function emptySetupEdit(setup: Setup, name: string): Edit {
  const removed = (at: string): SingleEdit => ({ kind: 'remove', at });
  // Devices take their pages and bindings with them; only what names another one's stands in the way of that.
  const naming = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const slot = slotOf(id, key);
      const names = namedByBinding(binding).some(({ kind }) => kind === 'device' || kind === 'page');
      return slot && names ? bindingChanges(slot, binding, null) : [];
    }),
  );
  // Menus that open one another, or pages, have no order in which they could go.
  const opening = setup.radialMenus.flatMap((menu) =>
    menu.items.flatMap(({ id, action }): SingleEdit[] => {
      if (namedByAction(action).length === 0) return [];
      const at = `${itemAt.radialMenu(menu.id)}/items/${id}`;
      return [{ kind: 'set', at, fields: { action: { kind: 'shortcut', shortcut: 'F1' } } }];
    }),
  );
  const based = Object.values(setup.profiles)
    .filter(({ basedOn }) => basedOn !== null)
    .map(({ id }): SingleEdit => ({ kind: 'set', at: itemAt.profile(id), fields: { basedOn: null } }));
  const left = Object.values(setup.profiles).filter(
    ({ id, program }) => program === null && id !== EVERYWHERE,
  );
  return together([
    ...naming,
    ...opening,
    ...setup.devices.map(({ id }) => removed(itemAt.device(id))),
    ...setup.radialMenus.map(({ id }) => removed(itemAt.radialMenu(id))),
    ...inOrder(setup.macros, namedByMacro).map(({ id }) => removed(itemAt.macro(id))),
    ...based,
    ...left.map(({ id }) => removed(itemAt.profile(id))),
    ...setup.programs.map(({ id }) => removed(itemAt.program(id))),
    ...setup.layers.filter(({ id }) => id !== BASE_LAYER).map(({ id }) => removed(itemAt.layer(id))),
    { kind: 'set', at: '', fields: { name } },
  ]);
}
