import { z } from 'zod';
import { idSchema } from '../devices/index.ts';
import {
  acting,
  applyEdit,
  BASE_LAYER,
  EVERYWHERE,
  itemAt,
  type Setup,
  shortcutSchema,
} from '../setup/index.ts';

/** So much a script puts on at once. */
const MOST_SETS = 20;

/** What a script puts on at a desk for as long as it is there: a profile that is stayed with, and keys for controls. */
export const usesSchema = z.strictObject({
  pin: idSchema.nullable(),
  /** Of a control pressed: what it sends, in that profile, or (none) in Everywhere. */
  sets: z
    .array(z.strictObject({ device: idSchema, control: idSchema, shortcut: shortcutSchema }))
    .max(MOST_SETS),
  /** The profile is stayed with also when the script is gone. */
  stays: z.boolean(),
});
/** What a script puts on at a desk. */
export type Uses = z.infer<typeof usesSchema>;

/** A set-up with what scripts have put on, the later over the earlier. What does not fit it is left out. */
export function withUses(setup: Setup, uses: readonly Uses[]): Setup {
  let worn = setup;
  for (const { pin, sets } of uses) {
    for (const { device, control, shortcut } of sets) {
      const profile = pin ?? EVERYWHERE;
      const at = itemAt.binding({ profile, layer: BASE_LAYER, device, control, trigger: 'press' });
      const behaviour = acting({ kind: 'shortcut', shortcut }, 'follow');
      const applied = applyEdit(worn, { kind: 'set', at, fields: { behaviour } });
      if (applied.ok) worn = applied.value.setup;
    }
  }
  return worn;
}
