import { setsNow } from './shownPage.ts';
import type { MenuOf, OpenMenu, Using } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Opens a radial menu for who gets what is chosen; null for the program in front. */
export function openMenu(
  context: StepContext,
  id: string,
  owner: Using,
  { program, focus }: Pick<OpenMenu, 'program' | 'focus'>,
): void {
  const menu = context.compiled.menus.get(id);
  if (menu)
    open(context, { kind: 'menu', menu: id, fingerprint: menu.fingerprint }, owner, { program, focus });
}

/** Opens a menu of the sets a device can have now; where it has none but its own, that is said. */
export function askForSet(context: StepContext, device: string, owner: Using): void {
  const sets = setsNow(context.compiled, context.state, device);
  if (sets.length > 1) open(context, { kind: 'sets', device, sets }, owner, { program: null, focus: false });
  else context.changes.push({ kind: 'no-page', device, page: null, why: 'no-sets' });
}

/** One menu at a time: another one that is open closes. */
function open(
  context: StepContext,
  of: MenuOf,
  owner: Using,
  { program, focus }: Pick<OpenMenu, 'program' | 'focus'>,
): void {
  const { radial: before } = context.state;
  if (before) context.changes.push({ kind: 'radial-closed', of: before.of, item: null });
  context.state.radial = { of, owner, program, focus, dx: 0, dy: 0, highlighted: null };
  context.changes.push({ kind: 'radial-open', of });
}
