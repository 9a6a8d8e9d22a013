import { type Edit, parseAddress, partsOf, type Setup, slotAt } from '../setup/index.ts';

/** What an edit is about, by the ids of things. */
export interface About {
  readonly devices: ReadonlySet<string>;
  readonly programs: ReadonlySet<string>;
  readonly macros: ReadonlySet<string>;
}

/** The devices, programs and macros that an edit changes something of; what is bound is about a device and a program. */
export function aboutOf(setup: Setup, edit: Edit): About {
  const about = { devices: new Set<string>(), programs: new Set<string>(), macros: new Set<string>() };
  for (const { at } of partsOf(edit)) {
    const slot = slotAt(at);
    const [first] = parseAddress(at)?.steps ?? [];
    if (slot) about.devices.add(slot.device);
    if (first?.name === 'devices') about.devices.add(first.id);
    if (first?.name === 'programs') about.programs.add(first.id);
    if (first?.name === 'macros') about.macros.add(first.id);
    if (first?.name === 'profiles') about.programs.add(setup.profiles[first.id]?.program ?? first.id);
    const page = first?.name === 'pages' ? setup.pages.find(({ id }) => id === first.id) : undefined;
    if (page) about.devices.add(page.device);
  }
  return about;
}
