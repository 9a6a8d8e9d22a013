import { type Control, type Trigger, triggersOf } from '../devices/index.ts';
import { coveringFolders, coveringOf, profileChain, resolveBehaviour } from '../resolve/index.ts';
import {
  BASE_LAYER,
  type Binding,
  keyOf,
  type Placing,
  placingEdits,
  type Setup,
  type SingleEdit,
  type Slot,
} from '../setup/index.ts';

/** A control on a page or a layer of its device, as a profile has it. */
export type ControlPlace = Omit<Slot, 'trigger'>;

/** One thing that is set for a control, or (binding null) that is not. */
export interface Content {
  readonly trigger: Trigger;
  readonly binding: Binding;
  /** The profile it stands in: another one than asked for where it is inherited. */
  readonly profile: string;
  /** Where it stands: another page than asked for where it shows through. */
  readonly layer: string;
}

/** The control at a place; none where it is gone. */
function controlAt(setup: Setup, { device, control }: ControlPlace): Control | undefined {
  return setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
}

/** The ways in which a control can be used; none where it is gone. */
function waysOf(setup: Setup, place: ControlPlace): readonly Trigger[] {
  const found = controlAt(setup, place);
  return found ? triggersOf(found) : [];
}

/** What is set for a control at a place itself, by trigger. */
export function ownContent(setup: Setup, place: ControlPlace): readonly Content[] {
  return waysOf(setup, place).flatMap((trigger): Content[] => {
    const binding = setup.profiles[place.profile]?.bindings[keyOf({ ...place, trigger })];
    return binding ? [{ trigger, binding, profile: place.profile, layer: place.layer }] : [];
  });
}

/** What decides for a control at a place, also what it inherits and what shows through, by trigger. */
export function shownContent(setup: Setup, place: ControlPlace): readonly Content[] {
  const { profile, layer, device, control } = place;
  const chain = profileChain(setup, profile);
  const layers = layer === BASE_LAYER ? [BASE_LAYER] : [layer, BASE_LAYER];
  const covering = coveringOf(coveringFolders(setup), controlAt(setup, place));
  return waysOf(setup, place).flatMap((trigger): Content[] => {
    const { decided } = resolveBehaviour(chain, layers, device, control, trigger, covering);
    return decided ? [{ trigger, ...decided }] : [];
  });
}

/** What becomes of the content of two controls when one is taken to the other. */
export type Carrying = 'swap' | 'copy' | 'move';

/** The edits that take what is set for a control to another one, of the ways in which both can be used. */
export function carryingEdits(
  setup: Setup,
  from: ControlPlace,
  to: ControlPlace,
  how: Carrying,
): readonly SingleEdit[] {
  const both = waysOf(setup, from).filter((trigger) => waysOf(setup, to).includes(trigger));
  const bindingAt = (place: ControlPlace, trigger: Trigger) =>
    setup.profiles[place.profile]?.bindings[keyOf({ ...place, trigger })] ?? null;
  const placings = both.flatMap((trigger): Placing[] => {
    const carried = bindingAt(from, trigger);
    const there = bindingAt(to, trigger);
    if (!carried && (how !== 'swap' || !there)) return [];
    const put: Placing = { to: { ...to, trigger }, binding: carried, from: from.profile };
    if (how === 'copy') return [put];
    const left = how === 'swap' ? there : null;
    return [put, { to: { ...from, trigger }, binding: left, from: to.profile }];
  });
  return placingEdits(setup, placings);
}
