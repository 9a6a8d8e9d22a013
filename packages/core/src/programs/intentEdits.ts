import { freeId } from '../devices/index.ts';
import {
  type Action,
  bindingChanges,
  commandAt,
  type Edit,
  intentsIn,
  itemAt,
  type Setup,
  type SingleEdit,
  slotOf,
  together,
} from '../setup/index.ts';

/** An intent, with what has it. */
export interface IntentUse {
  readonly intent: string;
  /** Programs with a command of it, by id, in the person's order; null for the common commands. */
  readonly programs: readonly (string | null)[];
  /** How many bindings and items of menus ask for the intent itself. */
  readonly asked: number;
}

/** Every intent that commands have or bindings ask for: those of most programs first, then by name. */
export function intentUses(setup: Setup): readonly IntentUse[] {
  const lists = [
    { id: null, commands: setup.commonCommands },
    ...setup.programs.map(({ id, commands }) => ({ id, commands })),
  ];
  const asked = new Map<string, number>();
  for (const { intent } of askedFor(setup)) asked.set(intent, (asked.get(intent) ?? 0) + 1);
  const all = new Set([
    ...intentsIn(setup),
    ...setup.commonCommands.flatMap(({ intent }) => intent ?? []),
    ...asked.keys(),
  ]);
  const uses = [...all].map((intent): IntentUse => {
    const programs = lists
      .filter(({ commands }) => commands.some((command) => command.intent === intent))
      .map(({ id }) => id);
    return { intent, programs, asked: asked.get(intent) ?? 0 };
  });
  return uses.toSorted((a, b) => b.programs.length - a.programs.length || (a.intent < b.intent ? -1 : 1));
}

/** An intent's id from what someone calls it. */
export function intentFrom(words: string): string {
  return freeId(words, new Set(), 'intent');
}

/** Gives an intent another id wherever it stands; one that is there already takes it in. Null where nothing changes. */
export function renameIntent(setup: Setup, from: string, to: string): Edit | null {
  if (from === to) return null;
  const ofCommands = [
    { owner: null, commands: setup.commonCommands },
    ...setup.programs.map((program) => ({ owner: program, commands: program.commands })),
  ].flatMap(({ owner, commands }) =>
    commands
      .filter(({ intent }) => intent === from)
      .map((command): SingleEdit => ({ kind: 'set', at: commandAt(owner, command), fields: { intent: to } })),
  );
  const ofActions = askedFor(setup)
    .filter(({ intent }) => intent === from)
    .flatMap(({ put }) => put({ kind: 'intent', intent: to }));
  const edits = [...ofCommands, ...ofActions];
  return edits.length > 0 ? together(edits) : null;
}

/** An action that asks for an intent, and what puts another in its place. */
interface Asked {
  readonly intent: string;
  readonly put: (action: Action) => readonly SingleEdit[];
}

/** Everything that asks for an intent: bindings, what programs in the background hear, items of menus. */
function askedFor(setup: Setup): readonly Asked[] {
  const bound = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]): Asked[] => {
      const slot = slotOf(id, key);
      const { behaviour } = binding;
      if (!slot) return [];
      if (behaviour.kind === 'action' && behaviour.action.kind === 'intent') {
        const put = (action: Action) =>
          bindingChanges(slot, binding, { ...binding, behaviour: { ...behaviour, action } });
        return [{ intent: behaviour.action.intent, put }];
      }
      if (behaviour.kind === 'off' && behaviour.sends?.kind === 'intent') {
        const put = (sends: Action) =>
          bindingChanges(slot, binding, { ...binding, behaviour: { ...behaviour, sends } });
        return [{ intent: behaviour.sends.intent, put }];
      }
      return [];
    }),
  );
  const items = setup.radialMenus.flatMap((menu) =>
    menu.items.flatMap(({ id, action: own }): Asked[] => {
      if (own.kind !== 'intent') return [];
      const at = `${itemAt.radialMenu(menu.id)}/items/${id}`;
      const put = (action: Action): SingleEdit[] => [{ kind: 'set', at, fields: { action } }];
      return [{ intent: own.intent, put }];
    }),
  );
  return [...bound, ...items];
}
