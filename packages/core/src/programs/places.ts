import {
  type Control,
  isPlus,
  isPressed,
  oppositeOf,
  type Trigger,
  triggersOf,
  type Way,
  wayOf,
} from '../devices/index.ts';
import { profileChain, resolveBehaviour } from '../resolve/index.ts';
import {
  acting,
  bindingChanges,
  type Command,
  commandOf,
  commandPairs,
  type Edit,
  keyOf,
  layerOfCell,
  type Profile,
  type Setup,
  type Slot,
  together,
} from '../setup/index.ts';
import { commandsOf } from './list/planImport.ts';
import { reachOf } from './reach.ts';

/** Why a control is a good place for a command. */
export type PlaceReason =
  /** Other programs have the same idea there. */
  | { readonly kind: 'same-intent'; readonly profiles: readonly string[] }
  /** The command that undoes it is the other way of the same movement. */
  | { readonly kind: 'beside-pair'; readonly command: string }
  /** It and the one that undoes it fit on both ways of a movement. */
  | { readonly kind: 'with-pair'; readonly command: string; readonly other: Trigger }
  | { readonly kind: 'free' };

/** A control that does nothing yet where the command is wanted. */
export interface Place {
  readonly slot: Slot;
  readonly reason: PlaceReason;
  /** The profile whose binding would be covered: one below does something there; null where nothing does. */
  readonly covers: string | null;
}

/** How readily a hand uses a movement; one that few bind is proposed last. Common practice, no source. */
const EASE = {
  press: 0,
  turn: 1,
  nudge: 2,
  hold: 3,
  'pressed-turn': 3,
  shuttle: 4,
  phrase: 6,
  'slide-step': 7,
  slide: 8,
} as const satisfies Record<Way, number>;

/** What makes one place better than another; lower is better. */
const REASON_ORDER = {
  'same-intent': 0,
  'beside-pair': 1,
  'with-pair': 2,
  free: 3,
} as const satisfies Record<PlaceReason['kind'], number>;

/**
 * Controls for a command, best first: where other programs have its idea, beside the command that undoes it, then what is
 * free and easily used. Never one that the profile itself has set, and never what a hand needs, as a mouse's left button.
 */
export function proposePlaces(setup: Setup, profile: string, command: string, most = 8): readonly Place[] {
  const chain = profileChain(setup, profile);
  const [column] = chain;
  const found = column && commandOf(setup, column, command);
  if (!column || !found) return [];
  const decidedBy = ({ layer, device, control, trigger }: Slot) =>
    resolveBehaviour(chain, [layer], device, control, trigger).decided?.profile ?? null;
  const pair = pairOf(setup, column, found);
  const known: Known = {
    pair,
    beside: pair ? besidePair(setup, column, pair.other.id) : new Set(),
    sameIdea: slotsOfIntent(setup, column, found.intent),
    isFree: (slot) => decidedBy(slot) === null,
  };
  // A cell of another program's page never shows with this one in front.
  const others = new Set(
    setup.pages.flatMap(({ id, program }) => (program === null || program === column.program ? [] : [id])),
  );
  const isThere = ({ cell }: Control) => !cell?.page || !others.has(cell.page);
  const places = setup.devices.flatMap((device, order) =>
    device.controls.filter(isThere).flatMap((control) =>
      triggersOf(control).flatMap((trigger): (Place & { readonly rank: number })[] => {
        const slot: Slot = {
          profile,
          layer: layerOfCell(control),
          device: device.id,
          control: control.id,
          trigger,
        };
        if (control.native[trigger] || wayOf(trigger) === 'slide') return [];
        const covers = decidedBy(slot);
        const reason = reasonFor(slot, known);
        // What is bound below is covered only where something speaks for just that control.
        const covering = covers !== null && (reason?.kind === 'free' || reason?.kind === 'with-pair');
        if (!reason || covers === profile || covering) return [];
        const risk = found.risky && wayOf(trigger) !== 'hold' ? 1 : 0;
        const rank = REASON_ORDER[reason.kind] * 1000 + (EASE[wayOf(trigger)] + risk) * 60 + order;
        return [{ slot, reason, covers, rank }];
      }),
    ),
  );
  return places
    .toSorted((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ rank: _rank, ...place }) => place);
}

/** The edit that puts a command, and the one that undoes it where the place is for both, where they were proposed. */
export function placeEdit(setup: Setup, command: string, { slot, reason }: Place): Edit {
  const put = (at: Slot, id: string, risky: boolean) => {
    const before = setup.profiles[at.profile]?.bindings[keyOf(at)] ?? null;
    const way = wayOf(at.trigger);
    const behaviour = acting({ kind: 'command', command: id }, 'tap');
    const asks = risky && (way === 'press' || way === 'nudge');
    return bindingChanges(at, before, {
      behaviour: asks ? { ...behaviour, guard: 'longer' } : behaviour,
      face: before?.face ?? null,
      note: before?.note ?? null,
    });
  };
  const profile = setup.profiles[slot.profile];
  const isRisky = (id: string) => (profile && commandOf(setup, profile, id)?.risky) ?? false;
  const other =
    reason.kind === 'with-pair'
      ? put({ ...slot, trigger: reason.other }, reason.command, isRisky(reason.command))
      : [];
  return together([...put(slot, command, isRisky(command)), ...other]);
}

/** A command with the one that undoes it, and whether it is the one for a turn clockwise. */
interface Pair {
  readonly other: Command;
  readonly isPlus: boolean;
}

function pairOf(setup: Setup, column: Profile, command: Command): Pair | null {
  const own = commandsOf(setup, column.program);
  const list = own.some(({ id }) => id === command.id) ? own : setup.commonCommands;
  const found = commandPairs(list).find(({ plus, minus }) => plus === command || minus === command);
  if (!found) return null;
  return found.plus === command ? { other: found.minus, isPlus: true } : { other: found.plus, isPlus: false };
}

/** The slot keys whose other way has the command already. */
function besidePair(setup: Setup, column: Profile, other: string): ReadonlySet<string> {
  const slots = reachOf(setup, column.id).get(other) ?? [];
  return new Set(
    slots.flatMap(({ slot }) => {
      const opposite = oppositeOf(slot.trigger);
      return opposite === null ? [] : [keyOf({ ...slot, trigger: opposite })];
    }),
  );
}

/** By slot key: the profiles of other programs in which a control reaches an idea. */
function slotsOfIntent(
  setup: Setup,
  column: Profile,
  intent: string | null,
): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  if (intent === null) return found;
  for (const { id, commands } of setup.programs) {
    if (id === column.program) continue;
    const profile = Object.values(setup.profiles).find(({ program }) => program === id)?.id;
    const own = commands.filter((command) => command.intent === intent);
    if (profile === undefined || own.length === 0) continue;
    const reach = reachOf(setup, profile);
    const keys = own.flatMap((command) => (reach.get(command.id) ?? []).map(({ slot }) => keyOf(slot)));
    for (const key of new Set(keys)) found.set(key, [...(found.get(key) ?? []), profile]);
  }
  return found;
}

/** What is known before each control is asked what speaks for it. */
interface Known {
  readonly pair: Pair | null;
  readonly beside: ReadonlySet<string>;
  readonly sameIdea: ReadonlyMap<string, readonly string[]>;
  readonly isFree: (slot: Slot) => boolean;
}

/** Null where nothing speaks for it: a single command on one way of a turn leaves the other way dead. */
function reasonFor(slot: Slot, { pair, beside, sameIdea, isFree }: Known): PlaceReason | null {
  const profiles = sameIdea.get(keyOf(slot)) ?? [];
  if (profiles.length > 0) return { kind: 'same-intent', profiles };
  if (pair && beside.has(keyOf(slot))) return { kind: 'beside-pair', command: pair.other.id };
  const other = oppositeOf(slot.trigger);
  if (other === null || isPressed(slot.trigger)) return { kind: 'free' };
  if (!pair || isPlus(slot.trigger) !== pair.isPlus || !isFree({ ...slot, trigger: other })) return null;
  return { kind: 'with-pair', command: pair.other.id, other };
}
