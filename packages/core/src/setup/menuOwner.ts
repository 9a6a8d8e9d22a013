import { adaptAction } from './adaptBinding.ts';
import { itemAt } from './edits/address.ts';
import { changesOf } from './edits/changes.ts';
import type { SingleEdit } from './edits/edit.ts';
import type { RadialMenu } from './radialMenu.ts';
import { commandOf, menuOwner, type Setup } from './setup.ts';

/**
 * The edits that give a radial menu to another program, or to all: its commands become those of the same intent there, or
 * else their keys. By way of the keys, which every program can be sent: an item is never one that its menu's program, the
 * old or the new, does not know.
 */
export function menuOwnerChanges(
  setup: Setup,
  menu: RadialMenu,
  program: string | null,
): readonly SingleEdit[] {
  const [from, to] = [menuOwner(setup, menu), menuOwner(setup, { program })];
  if (!from || !to || program === menu.program) return [];
  const keys = menu.items.map((item) => {
    const command = item.action.kind === 'command' ? commandOf(setup, from, item.action.command) : null;
    return command ? { ...item, action: { kind: 'shortcut' as const, shortcut: command.shortcut } } : item;
  });
  const items = menu.items.map((item) => ({ ...item, action: adaptAction(setup, item.action, from, to) }));
  const at = itemAt.radialMenu(menu.id);
  const [asKeys, given] = [
    { ...menu, items: keys },
    { ...menu, items: keys, program },
  ];
  return [
    ...changesOf(at, menu, asKeys),
    ...changesOf(at, asKeys, given),
    ...changesOf(at, given, { ...given, items }),
  ];
}
