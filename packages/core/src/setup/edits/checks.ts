import { foldName } from '../../devices/index.ts';
import { checkAction } from '../checkAction.ts';
import type { RadialItem, RadialMenu } from '../radialMenu.ts';
import type { Refusal } from '../refusal.ts';
import { menuOwner, type Setup } from '../setup.ts';

/** Whether another program has a name already, however it is written. */
export function nameTaken(setup: Setup, name: string, except: string | null): boolean {
  const folded = foldName(name);
  return setup.programs.some((program) => program.id !== except && foldName(program.name) === folded);
}

/** What is wrong with a radial menu, or with some of its items: a program or a command that is not there. */
export function checkMenu(
  setup: Setup,
  menu: Pick<RadialMenu, 'program' | 'items'>,
  items: readonly RadialItem[] = menu.items,
): Refusal | null {
  const { program } = menu;
  if (program !== null && !setup.programs.some(({ id }) => id === program)) {
    return { code: 'unknown-program', program };
  }
  const owner = menuOwner(setup, menu);
  if (!owner) return { code: 'everywhere-missing' };
  for (const { action } of items) {
    const wrong = checkAction(setup, owner, action);
    if (wrong) return wrong;
  }
  return null;
}

/** What is wrong with one item of the menu it stands in. */
export function checkItemOf(
  setup: Setup,
  above: readonly { readonly id: string }[],
  item: RadialItem,
): Refusal | null {
  const menu = setup.radialMenus.find(({ id }) => id === above[0]?.id);
  return menu ? checkMenu(setup, menu, [item]) : null;
}
