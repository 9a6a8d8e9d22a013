import { namedByAction, namedByBinding, type Setup, type Slot, slotOf } from '../setup/index.ts';

/** The slots whose binding opens or chooses a page. */
export function slotsNaming(setup: Setup, page: string): readonly Slot[] {
  return Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) => {
      const names = namedByBinding(binding).some((each) => each.kind === 'page' && each.id === page);
      return (names && slotOf(id, key)) || [];
    }),
  );
}

/** Actions that go from one set of a device to another. */
const TO_SETS: readonly string[] = ['next-set', 'previous-set', 'ask'];

/**
 * The pages that something leads to: a control or a menu opens or chooses them, or, of sets, something goes through the
 * sets of their device, or they follow their program. The others can never be on.
 */
export function reachedPages(setup: Setup): ReadonlySet<string> {
  const reached = new Set<string>();
  /** Devices whose sets something goes through. */
  const through = new Set<string>();
  for (const { items } of setup.radialMenus)
    for (const { action } of items)
      for (const { kind, id } of namedByAction(action)) if (kind === 'page') reached.add(id);
  for (const { bindings } of Object.values(setup.profiles)) {
    for (const key in bindings) {
      const behaviour = bindings[key]?.behaviour;
      const action = behaviour?.kind === 'action' ? behaviour.action : null;
      if (action?.kind !== 'page') continue;
      if (action.page !== null) reached.add(action.page);
      if (TO_SETS.includes(action.change)) through.add(action.device ?? key.split('/')[1] ?? '');
    }
  }
  for (const { id, kind, device, follows, program } of setup.pages) {
    if (kind === 'set' && (through.has(device) || (follows && program !== null))) reached.add(id);
  }
  return reached;
}
