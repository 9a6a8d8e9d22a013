import { slotOf } from './binding.ts';
import type { Edit, SingleEdit } from './edit.ts';
import type { Setup } from './setup.ts';

/** Removes a layer with all that is bound in it. What turns it on elsewhere must be changed first. */
export function removeLayer(setup: Setup, layer: string): Edit {
  const cleared = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.keys(bindings).flatMap((key): SingleEdit[] => {
      const slot = slotOf(id, key);
      return slot?.layer === layer ? [{ kind: 'set-binding', slot, binding: null }] : [];
    }),
  );
  return { kind: 'together', edits: [...cleared, { kind: 'set-layer', id: layer, item: null, at: 0 }] };
}
