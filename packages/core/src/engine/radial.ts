import type { CompiledControl } from './compile.ts';
import type { Outcome } from './explanation.ts';
import { tap } from './outputs.ts';
import type { Held, OpenMenu } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Within this distance of where it opened nothing is highlighted; from this one on an item is chosen: pixels. */
export const DEAD_ZONE = 16;
/** Pixels from the middle at which an item is chosen beyond doubt: about the length of a finger's movement. */
export const RIM = 90;

/** The pointer moves while a menu is open: past the rim it chooses, inside it highlights. */
export function moveInMenu(context: StepContext, dx: number, dy: number): void {
  const { radial } = context.state;
  if (!radial) return;
  const moved = { ...radial, dx: radial.dx + dx, dy: radial.dy + dy };
  const far = Math.hypot(moved.dx, moved.dy);
  const count = context.compiled.menus.get(radial.menu)?.items.length ?? 1;
  const item = far < DEAD_ZONE ? null : sectorAt(moved.dx, moved.dy, count);
  if (far >= RIM) {
    closeMenu(context, radial, item);
    return;
  }
  context.state.radial = { ...moved, highlighted: item };
  if (item !== radial.highlighted) {
    context.changes.push({ kind: 'radial-highlight', menu: radial.menu, item });
  }
}

/** Which of `count` equal sectors a place is in: the first has its middle at the top, then clockwise. */
export function sectorAt(dx: number, dy: number, count: number): number {
  const turn = Math.atan2(dx, -dy) / (2 * Math.PI);
  return Math.floor((turn + 1) * count + 0.5) % count;
}

/**
 * A press while a menu is open, by the control that opened it or by one that is the pointer's main button:
 * it chooses what is highlighted, or closes. Null for any other press.
 */
export function pressInMenu(context: StepContext, { device, control }: CompiledControl): Outcome | null {
  const { radial } = context.state;
  if (!radial) return null;
  const opener = radial.owner.device === device && radial.owner.control === control.id;
  const main = control.native.press?.kind === 'button' && control.native.press.button === 0;
  if (!opener && !main) return null;
  const { highlighted: item } = radial;
  closeMenu(context, radial, item);
  return { kind: 'menu', menu: radial.menu, item };
}

/** The control that opened a menu comes up: what is highlighted is chosen; else the menu stays open. */
export function releaseInMenu(context: StepContext, { using, silent }: Held): void {
  const { radial } = context.state;
  if (!radial || silent || radial.highlighted === null) return;
  const { owner } = radial;
  if (owner.device === using.device && owner.control === using.control) {
    closeMenu(context, radial, radial.highlighted);
  }
}

/** Closes the menu and taps the item chosen, if any, for the program the menu was opened for. */
export function closeMenu(
  context: StepContext,
  { menu, owner, program, focus }: OpenMenu,
  item: number | null,
): void {
  context.state.radial = null;
  context.changes.push({ kind: 'radial-closed', menu, item });
  const sending = item === null ? null : context.compiled.menus.get(menu)?.items[item];
  if (sending) tap(context, { ...sending, programs: [program], focus }, owner);
}
