import {
  adaptBinding,
  type Binding,
  bindingChanges,
  checkBinding,
  commandOf,
  type Edit,
  keyOf,
  type Profile,
  type Refusal,
  type Setup,
  type Slot,
  sameJson,
  slotOf,
  together,
} from '../setup/index.ts';
import { inRigOrder } from './rigOrder.ts';

/** What a binding carries over as: the other program's command of its intent or name, the bare keys, or as it is. */
export type CarriedAs = 'intent' | 'name' | 'keys' | 'as-is';

/** One binding of a profile that is copied: what stands there now, and what would. */
export interface CarriedStep {
  readonly slot: Slot;
  readonly source: Binding;
  readonly before: Binding | null;
  readonly after: Binding;
  readonly as: CarriedAs;
  /** Why it cannot be copied; null where it can. */
  readonly refusal: Refusal | null;
}

/** A profile to be copied into another one, perhaps from another set-up. */
export interface ProfileCopy {
  /** Whose bindings are copied, and the set-up it stands in. */
  readonly from: Profile;
  readonly source: Setup;
  /** The profile they go into, by id. */
  readonly to: string;
}

/** Works out what of a profile carries over into another. */
export function planProfileCopy(setup: Setup, { from, source, to }: ProfileCopy): readonly CarriedStep[] {
  const target = setup.profiles[to];
  if (!target) return [];
  const slots = Object.keys(from.bindings).flatMap((key) => slotOf(to, key) ?? []);
  return inRigOrder(setup, slots).flatMap((slot): CarriedStep[] => {
    const key = keyOf(slot);
    const binding = from.bindings[key];
    if (!binding) return [];
    const after = adaptBinding(setup, binding, from, target, slot.trigger, source);
    return [
      {
        slot,
        source: binding,
        before: target.bindings[key] ?? null,
        after,
        as: carriedAs(setup, source, from, target, binding, after),
        refusal: checkBinding(setup, target, slot, after),
      },
    ];
  });
}

/**
 * The edit that copies what can be.
 *
 * @param over whether what is set there already gives way
 */
export function profileCopyEdit(steps: readonly CarriedStep[], over: boolean): Edit | null {
  const taken = steps.filter(
    ({ before, after, refusal }) => refusal === null && !sameJson(before, after) && (over || before === null),
  );
  const edits = taken.flatMap(({ slot, before, after }) => bindingChanges(slot, before, after));
  return edits.length > 0 ? together(edits) : null;
}

/** The edit that puts a profile back to nothing set; null where nothing is. */
export function emptyProfileEdit({ id, bindings }: Profile): Edit | null {
  const edits = Object.entries(bindings).flatMap(([key, binding]) => {
    const slot = slotOf(id, key);
    return slot ? bindingChanges(slot, binding, null) : [];
  });
  return edits.length > 0 ? together(edits) : null;
}

function carriedAs(
  setup: Setup,
  source: Setup,
  from: Profile,
  to: Profile,
  before: Binding,
  after: Binding,
): CarriedAs {
  if (before.behaviour.kind !== 'action' || after.behaviour.kind !== 'action') return 'as-is';
  const [was, is] = [before.behaviour.action, after.behaviour.action];
  if (was.kind !== 'command') return 'as-is';
  if (is.kind !== 'command') return 'keys';
  if (was.command === is.command && source === setup) return 'as-is';
  const intent = commandOf(source, from, was.command)?.intent ?? null;
  return intent !== null && commandOf(setup, to, is.command)?.intent === intent ? 'intent' : 'name';
}
