import { EVERYWHERE, type RadialMenu, type Setup } from '../setup/index.ts';
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

/** Makes a radial menu ready. Its commands are those that most programs share. */
export function compileMenu(setup: Setup, { id, items }: RadialMenu): CompiledMenu {
  const everywhere = setup.profiles[EVERYWHERE];
  const sendings = items.map(({ action }) => {
    const effect = everywhere ? effectOf(setup, everywhere, action) : null;
    return effect && plainly(effect);
  });
  return { id, items: sendings, fingerprint: fingerprintOf(sendings) };
}
