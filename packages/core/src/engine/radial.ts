import type { Compiled, CompiledControl } from './compile.ts';
import type { Outcome } from './explanation.ts';
import { tap } from './outputs.ts';
import { chooseAsked } from './pages.ts';
import { setOn, setsNow } from './shownPage.ts';
import type { Held, MenuOf, OpenMenu } from './state.ts';
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
  const item =
    far < DEAD_ZONE
      ? highlightedInside(radial)
      : sectorAt(moved.dx, moved.dy, countOf(context.compiled, radial.of));
  if (far >= RIM) closeMenu(context, radial, item);
  else highlight(context, moved, item);
}

/** What was highlighted by turning stays so while the pointer only trembles in the middle. */
function highlightedInside({ dx, dy, highlighted }: OpenMenu): number | null {
  return Math.hypot(dx, dy) < DEAD_ZONE ? highlighted : null;
}

/** How many items an open menu has. */
function countOf({ menus }: Compiled, of: MenuOf): number {
  return of.kind === 'sets' ? of.sets.length : (menus.get(of.menu)?.items.length ?? 1);
}

/** Says which item is highlighted, where that is another one. */
function highlight(context: StepContext, menu: OpenMenu, item: number | null): void {
  context.state.radial = { ...menu, highlighted: item };
  if (item !== menu.highlighted) context.changes.push({ kind: 'radial-highlight', of: menu.of, item });
}

/** Whether turns of a device go round the menu that is open: that of its sets. */
export function asksOf({ state }: StepContext, device: string): boolean {
  return state.radial?.of.kind === 'sets' && state.radial.of.device === device;
}

/** Goes round the open menu of a device's sets by so many steps, clockwise positive, from the set that shows. */
export function turnInMenu(context: StepContext, steps: number): void {
  const { radial } = context.state;
  if (radial?.of.kind !== 'sets' || steps === 0) return;
  const { device, sets } = radial.of;
  const from = radial.highlighted ?? sets.indexOf(setOn(context.compiled, context.state, device));
  highlight(context, radial, (((from + steps) % sets.length) + sets.length) % sets.length);
}

/** Which of `count` equal sectors a place is in: the first has its middle at the top, then clockwise. */
export function sectorAt(dx: number, dy: number, count: number): number {
  const turn = Math.atan2(dx, -dy) / (2 * Math.PI);
  return Math.floor((turn + 1) * count + 0.5) % count;
}

/**
 * A press while a menu is open, by the control that opened it, by one that goes round it, or by one that is the
 * pointer's main button: it chooses what is highlighted, or closes. Null for any other press.
 */
export function pressInMenu(context: StepContext, { device, control }: CompiledControl): Outcome | null {
  const { radial } = context.state;
  if (!radial) return null;
  const opener = radial.owner.device === device && radial.owner.control === control.id;
  const main = control.native.press?.kind === 'button' && control.native.press.button === 0;
  const turns = control.rotor !== null && asksOf(context, device);
  if (!opener && !main && !turns) return null;
  const { highlighted: item } = radial;
  closeMenu(context, radial, item);
  return { kind: 'menu', of: radial.of, item };
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

/** Closes the menu; the item chosen, if any, is tapped for the program the menu was opened for, or is the set from now on. */
export function closeMenu(
  context: StepContext,
  { of, owner, program, focus }: OpenMenu,
  item: number | null,
): void {
  context.state.radial = null;
  context.changes.push({ kind: 'radial-closed', of, item });
  if (item === null) return;
  if (of.kind === 'sets') {
    chooseAsked(context, of.device, of.sets[item] ?? null);
    return;
  }
  const sending = context.compiled.menus.get(of.menu)?.items[item];
  if (sending) tap(context, { ...sending, programs: [program], focus }, owner);
}

/** A menu that is open closes where what it shows is another by now. */
export function closeChangedMenu(context: StepContext): void {
  const { compiled, state } = context;
  const { radial } = state;
  if (radial && !isSame(radial.of)) closeMenu(context, radial, null);

  function isSame(of: MenuOf): boolean {
    switch (of.kind) {
      case 'menu':
        return compiled.menus.get(of.menu)?.fingerprint === of.fingerprint;
      case 'sets': {
        const now = setsNow(compiled, state, of.device);
        return now.length === of.sets.length && now.every((set, i) => set === of.sets[i]);
      }
    }
  }
}
