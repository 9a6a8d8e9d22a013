import { menuOwner, type RadialMenu, type Setup } from '../setup/index.ts';
import { effectOf, plainly } from './compileEffect.ts';
import type { Sending } from './effect.ts';
import { fingerprintOf } from './fingerprint.ts';

/** A radial menu made ready. */
export interface CompiledMenu {
  readonly id: string;
  /** By item, clockwise from the top; null for one that sends nothing. */
  readonly items: readonly (Sending | null)[];
  /** The same for menus that do the same. */
  readonly fingerprint: string;
}

/** Makes a radial menu ready. Its commands are those of its program, and those that most programs share. */
export function compileMenu(setup: Setup, menu: RadialMenu): CompiledMenu {
  const { id, items } = menu;
  const owner = menuOwner(setup, menu);
  const sendings = items.map(({ action }) => {
    const effect = owner ? effectOf(setup, owner, action) : null;
    return effect && plainly(effect);
  });
  return { id, items: sendings, fingerprint: fingerprintOf(sendings) };
}
