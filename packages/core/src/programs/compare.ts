import { profileChain, resolveBehaviour } from '../resolve/index.ts';
import {
  acting,
  adaptBinding,
  type Behaviour,
  type Binding,
  bindingChanges,
  checkBinding,
  commandOfIntent,
  type Edit,
  keyOf,
  type Profile,
  type Setup,
  type Slot,
  sameJson,
  slotOf,
  together,
} from '../setup/index.ts';
import { describeActionIn } from '../words/index.ts';
import { inRigOrder } from './rigOrder.ts';

/** A profile and the set-up it stands in. */
export interface Compared {
  readonly setup: Setup;
  readonly profile: string;
}

/** What a control does in one of the profiles that are compared. */
export interface ComparedCell {
  /** What decides there; null where the control does what it does by itself. */
  readonly binding: Binding | null;
  /** The profile it comes from, by id; null where nothing decides. */
  readonly from: string | null;
  /** What it is called there; null for off and for nothing. */
  readonly name: string | null;
  readonly intent: string | null;
  /** In our notation. */
  readonly shortcut: string | null;
}

/** A way of using a control that does different things in the profiles that are compared. */
export interface Difference {
  /** In the first of them. */
  readonly slot: Slot;
  /** In the order of the profiles. */
  readonly cells: readonly ComparedCell[];
}

/**
 * What controls do differently in several profiles, through what each is based on: two commands of one intent are the same.
 * In the order of the first one's rig.
 */
export function compareProfiles(compared: readonly Compared[]): readonly Difference[] {
  const [first] = compared;
  if (!first) return [];
  const chains = compared.map(({ setup, profile }) => profileChain(setup, profile));
  const keys = new Set(chains.flatMap((chain) => chain.flatMap(({ bindings }) => Object.keys(bindings))));
  const slots = [...keys].flatMap((key) => slotOf(first.profile, key) ?? []);
  return inRigOrder(first.setup, slots).flatMap((slot) => {
    const cells = compared.map(({ setup }, i) => cellOf(setup, chains[i] ?? [], slot));
    const [one] = cells;
    return one && cells.some((cell) => !isSame(one, cell)) ? [{ slot, cells }] : [];
  });
}

/** An intent that is reached otherwise in the profiles that are compared. */
export interface IntentDifference {
  readonly intent: string;
  /** The controls that do it, in each of them. */
  readonly slots: readonly (readonly Slot[])[];
}

/** The ideas that are on other controls in one of several profiles than in another, by name. */
export function compareIntents(compared: readonly Compared[]): readonly IntentDifference[] {
  const places = compared.map(({ setup, profile }) => intentPlaces(setup, profile));
  const intents = [...new Set(places.flatMap((each) => [...each.keys()]))].toSorted();
  return intents.flatMap((intent) => {
    const slots = places.map((each) => each.get(intent) ?? []);
    const keys = slots.map((each) =>
      each
        .map(({ layer, device, control, trigger }) => `${layer}/${device}/${control}/${trigger}`)
        .toSorted(),
    );
    return keys.some((each) => !sameJson(each, keys[0])) ? [{ intent, slots }] : [];
  });
}

/** By intent: where it is in a profile. */
function intentPlaces(setup: Setup, profile: string): ReadonlyMap<string, readonly Slot[]> {
  const chain = profileChain(setup, profile);
  const keys = new Set(chain.flatMap(({ bindings }) => Object.keys(bindings)));
  const found = new Map<string, Slot[]>();
  for (const slot of inRigOrder(
    setup,
    [...keys].flatMap((key) => slotOf(profile, key) ?? []),
  )) {
    const { intent } = cellOf(setup, chain, slot);
    if (intent !== null) found.set(intent, [...(found.get(intent) ?? []), slot]);
  }
  return found;
}

function cellOf(setup: Setup, chain: readonly Profile[], slot: Slot): ComparedCell {
  const { decided } = resolveBehaviour(chain, [slot.layer], slot.device, slot.control, slot.trigger);
  const [column] = chain;
  const owner = decided && setup.profiles[decided.profile];
  if (!decided || !column || !owner)
    return { binding: null, from: null, name: null, intent: null, shortcut: null };
  const { binding, profile: from } = decided;
  const { behaviour } = binding;
  if (behaviour.kind !== 'action') return { binding, from, name: null, intent: null, shortcut: null };
  const { name, intent, shortcut } = describeActionIn(setup, column, owner, behaviour.action);
  return { binding, from, name, intent, shortcut };
}

/** Whether two profiles do the same on a control: the same intent, else the same behaviour under the same name. */
function isSame(a: ComparedCell, b: ComparedCell): boolean {
  if (!a.binding || !b.binding) return a.binding === b.binding;
  if (!sameJson(sentAs(a.binding.behaviour), sentAs(b.binding.behaviour))) return false;
  if (a.intent !== null || b.intent !== null) return a.intent === b.intent;
  return a.name === b.name && a.shortcut === b.shortcut;
}

/** How something is sent, without what is sent. */
function sentAs(behaviour: Behaviour): unknown {
  if (behaviour.kind !== 'action') return behaviour;
  const { action: _action, ...how } = behaviour;
  return how;
}

/**
 * The edit that has a profile do on a control what another one does there; null where it does so already or cannot. What
 * the other leaves to the control itself is left to it here too, also where something below would decide.
 *
 * @param cell what the other one does
 */
export function takeAcross(
  setup: Setup,
  { setup: source }: Compared,
  cell: ComparedCell,
  target: Slot,
): Edit | null {
  const to = setup.profiles[target.profile];
  const from = cell.from === null ? undefined : source.profiles[cell.from];
  if (!to) return null;
  const before = to.bindings[keyOf(target)] ?? null;
  const after: Binding =
    cell.binding && from
      ? adaptBinding(setup, cell.binding, from, to, target.trigger, source)
      : { behaviour: { kind: 'native' }, face: null, note: null };
  if (checkBinding(setup, to, target, after) !== null) return null;
  const edits = bindingChanges(target, before, after);
  return edits.length > 0 ? together(edits) : null;
}

/**
 * The edit that puts a profile's own command of an intent onto controls; null where its program has none, or all of them
 * have it.
 */
export function putIntent(
  setup: Setup,
  profile: string,
  intent: string,
  slots: readonly Slot[],
): Edit | null {
  const to = setup.profiles[profile];
  const program = setup.programs.find(({ id }) => id === to?.program);
  const command =
    commandOfIntent(program, intent) ?? setup.commonCommands.find((each) => each.intent === intent);
  if (!to || !command) return null;
  const edits = slots.flatMap((slot) => {
    const target = { ...slot, profile };
    const before = to.bindings[keyOf(target)] ?? null;
    const behaviour = acting({ kind: 'command', command: command.id }, 'tap');
    return bindingChanges(target, before, {
      behaviour,
      face: before?.face ?? null,
      note: before?.note ?? null,
    });
  });
  return edits.length > 0 ? together(edits) : null;
}
