import { foldName } from '../../devices/index.ts';
import { checkAction } from '../checkAction.ts';
import type { RadialItem } from '../radialMenu.ts';
import type { Refusal } from '../refusal.ts';
import { EVERYWHERE, type Setup } from '../setup.ts';

/** Whether another program has a name already, however it is written. */
export function nameTaken(setup: Setup, name: string, except: string | null): boolean {
  const folded = foldName(name);
  return setup.programs.some((program) => program.id !== except && foldName(program.name) === folded);
}

/** What is wrong with items of radial menus, which may do what Everywhere may. */
export function checkMenuItems(setup: Setup, items: readonly RadialItem[]): Refusal | null {
  const everywhere = setup.profiles[EVERYWHERE];
  if (!everywhere) return { code: 'everywhere-missing' };
  for (const { action } of items) {
    const wrong = checkAction(setup, everywhere, action);
    if (wrong) return wrong;
  }
  return null;
}
