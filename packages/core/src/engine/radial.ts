import type { CompiledControl } from './compile.ts';
import type { Outcome } from './explanation.ts';
import { tap } from './outputs.ts';
import type { Run } from './run.ts';
import type { Held, OpenMenu } from './state.ts';

/** Within this distance of where it opened nothing is highlighted; from this one on an item is chosen: pixels. */
export const DEAD_ZONE = 16;
export const RIM = 90;

/** The pointer moves while a menu is open: past the rim it chooses, inside it highlights. */
export function moveInMenu(run: Run, dx: number, dy: number): void {
  const { radial } = run.state;
  if (!radial) return;
  const moved = { ...radial, dx: radial.dx + dx, dy: radial.dy + dy };
  const far = Math.hypot(moved.dx, moved.dy);
  const item = far < DEAD_ZONE ? null : sectorAt(moved.dx, moved.dy, radial.menu.items.length);
  if (far >= RIM) {
    closeMenu(run, radial, item);
    return;
  }
  run.state.radial = { ...moved, highlighted: item };
  if (item !== radial.highlighted) {
    run.changes.push({ kind: 'radial-highlight', menu: radial.menu.id, item });
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
export function pressInMenu(run: Run, { device, control }: CompiledControl): Outcome | null {
  const { radial } = run.state;
  if (!radial) return null;
  const opener = radial.owner.device === device && radial.owner.control === control.id;
  const main = control.native.press?.kind === 'button' && control.native.press.button === 0;
  if (!opener && !main) return null;
  const { highlighted: item } = radial;
  closeMenu(run, radial, item);
  return { kind: 'menu', menu: radial.menu.id, item };
}

/** The control that opened a menu comes up: what is highlighted is chosen; else the menu stays open. */
export function releaseInMenu(run: Run, { using, silent }: Held): void {
  const { radial } = run.state;
  if (!radial || silent || radial.highlighted === null) return;
  const { owner } = radial;
  if (owner.device === using.device && owner.control === using.control) {
    closeMenu(run, radial, radial.highlighted);
  }
}

/** Closes the menu and taps the item chosen, if any. */
export function closeMenu(run: Run, { menu, owner }: OpenMenu, item: number | null): void {
  run.state.radial = null;
  run.changes.push({ kind: 'radial-closed', menu: menu.id, item });
  const sending = item === null ? null : menu.items[item];
  if (sending) tap(run, sending, owner);
}
