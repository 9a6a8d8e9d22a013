import { everyStep, type Setup, type Slot, slotOf } from '../setup/index.ts';

/** Where a macro is used. */
export interface MacroUses {
  readonly slots: readonly Slot[];
  /** Radial menus and other macros that run it, by their ids. */
  readonly menus: readonly string[];
  readonly macros: readonly string[];
}

/** Where each macro of a set-up is used, by its id; one that is used nowhere has no entry. */
export function macroUses(setup: Setup): ReadonlyMap<string, MacroUses> {
  const uses = new Map<string, { slots: Slot[]; menus: string[]; macros: string[] }>();
  const of = (id: string) => {
    const known = uses.get(id) ?? { slots: [], menus: [], macros: [] };
    uses.set(id, known);
    return known;
  };
  for (const { id: profile, bindings } of Object.values(setup.profiles)) {
    for (const [key, { behaviour }] of Object.entries(bindings)) {
      const action =
        behaviour.kind === 'action' ? behaviour.action : behaviour.kind === 'off' ? behaviour.sends : null;
      const slot = action?.kind === 'macro' ? slotOf(profile, key) : null;
      if (action?.kind === 'macro' && slot) of(action.macro).slots.push(slot);
    }
  }
  for (const { id, items } of setup.radialMenus) {
    for (const { action } of items) if (action.kind === 'macro') of(action.macro).menus.push(id);
  }
  for (const { id, steps } of setup.macros) {
    for (const step of everyStep(steps)) if (step.kind === 'macro') of(step.macro).macros.push(id);
  }
  return uses;
}
