import { dropDeadline } from './deadlines.ts';
import type { Ended } from './explanation.ts';
import { endConfirmation } from './guard.ts';
import { quietly, setHeld } from './held.ts';
import { dropOnce } from './layers.ts';
import { heldBy, stopMacro } from './macros.ts';
import { end } from './outputs.ts';
import { forgetPages } from './pages.ts';
import { dropWaiting } from './press.ts';
import { closeMenu } from './radial.ts';
import { withEntry, without } from './record.ts';
import type { Held, Hold, PressedTurn, PressedTurns, Running, Using, Waiting } from './state.ts';
import type { StepContext } from './stepContext.ts';

/** Which outputs end. */
type Which = (using: Using) => boolean;

/** What is ended. */
interface Ending {
  /** Of controls that are down or away from rest. */
  readonly down: Which;
  /** Of what goes on by itself: latches, macros, an open menu. */
  readonly background: Which;
  /** Of macros that belong to a window they waited for, whatever started them. */
  readonly macros: (running: Running) => boolean;
  /** Whether macros that are marked to go on are spared. */
  readonly goesOn: boolean;
}

/**
 * Ends everything whose use is picked: what is held, repeated or latched, presses not decided yet, rings away
 * from rest, macros, layers for one press, the open menu. Newest first. Controls that are still down come
 * up in silence.
 */
export function endOutputs(context: StepContext, ending: Ending): readonly Ended[] {
  const ended = endHeldAndLatched(context, ending);
  const { down } = ending;
  for (const waiting of Object.values(context.state.waiting)) endWaiting(context, waiting, down);
  for (const [key, spring] of Object.entries(context.state.springs)) {
    if (!spring.silent && spring.use && down(spring.use.using)) silenceSpring(context, key);
  }
  return [...ended, ...endBackground(context, ending)];
}

/** Held and latched outputs in one order, as they began. */
function endHeldAndLatched(context: StepContext, ending: Ending): readonly Ended[] {
  const { down, background } = ending;
  const { held, latched } = context.state;
  const spared = (hold: Hold) => isSpared(context, ending, hold);
  const picked = [
    ...Object.values(held).flatMap((each) =>
      down(each.using) && (!each.silent || each.holds.length > 0)
        ? [{ ...each, end: () => endHeld(context, each, spared) }]
        : [],
    ),
    ...Object.entries(latched).flatMap(([key, each]) =>
      background(each.using) ? [{ ...each, end: () => endLatched(context, key, each.holds, spared) }] : [],
    ),
  ];
  const ended: Ended[] = [];
  for (const { using, end: endIt } of picked.toSorted((a, b) => b.serial - a.serial)) {
    const holds = endIt();
    if (holds.length > 0) ended.push({ device: using.device, control: using.control, holds });
  }
  silenceTurns(context, down);
  return ended;
}

/** Whether a hold is a macro that goes on over a change of front: marked so, or since it waited for that very window. */
function isSpared({ state }: StepContext, { goesOn, macros }: Ending, hold: Hold): boolean {
  const running = hold.kind === 'macro' ? state.running[hold.macro] : undefined;
  if (!running) return false;
  return (goesOn && running.as.goesOn) || (running.belongsTo !== null && !macros(running));
}

/** Lets go of what a control holds; it comes up in silence, and what is spared ends only then. Gives what ended. */
export function endHeld(
  context: StepContext,
  held: Held,
  spared: (hold: Hold) => boolean = () => false,
): readonly Hold[] {
  const { key } = held.using;
  const holds = held.holds.filter((hold) => !spared(hold));
  end(context, holds);
  dropDeadline(context, 'repeat', key);
  dropDeadline(context, 'guard', key);
  const left = held.holds.filter(spared);
  setHeld(context, { ...held, holds: left, silent: true, later: null, guarded: null });
  return holds;
}

/** A latch goes as a whole, or not at all: its control must be able to turn it off. */
function endLatched(
  context: StepContext,
  key: string,
  holds: readonly Hold[],
  spared: (hold: Hold) => boolean,
): readonly Hold[] {
  if (holds.some(spared)) return [];
  context.state.latched = without(context.state.latched, key);
  end(context, holds);
  return holds;
}

/** Turns of controls that are down do nothing more. */
function silenceTurns(context: StepContext, which: Which): void {
  for (const held of Object.values(context.state.held)) {
    const turns = Object.entries(held.turns) as [PressedTurn, PressedTurns[PressedTurn]][];
    const goes = turns.filter(([, use]) => use && use !== 'ended' && which(use.using));
    if (goes.length === 0) continue;
    const ended = Object.fromEntries(goes.map(([trigger]) => [trigger, 'ended' as const]));
    setHeld(context, { ...held, turns: { ...held.turns, ...ended } });
  }
}

/** An undecided press whose ways would not all be the same any more is none; it comes up in silence. */
function endWaiting(context: StepContext, waiting: Waiting, which: Which): void {
  const turns = Object.values(waiting.turns).filter((use) => use !== 'ended');
  const uses = [
    waiting.press,
    waiting.hold,
    waiting.double,
    ...Object.values(waiting.nudges ?? {}),
    ...turns,
  ];
  if (!uses.some((use) => use && which(use.using))) return;
  dropWaiting(context, waiting);
  if (waiting.down) setHeld(context, { ...quietly(waiting.press, waiting), silent: true });
  silenceTurns(context, which);
}

/** A ring away from its rest does nothing until it is back there. */
export function silenceSpring(context: StepContext, key: string): void {
  const spring = context.state.springs[key];
  if (!spring) return;
  dropDeadline(context, 'shuttle', key);
  context.state.springs = withEntry(context.state.springs, key, { ...spring, silent: true });
}

/** Ends what goes on without a control being down. Gives what macros held. */
function endBackground(
  context: StepContext,
  { background: which, goesOn, macros }: Ending,
): readonly Ended[] {
  const ended: Ended[] = [];
  const holds = [...Object.values(context.state.held), ...Object.values(context.state.latched)].flatMap(
    (each) => each.holds,
  );
  const stillHeld = new Set(holds.flatMap((hold) => (hold.kind === 'macro' ? [hold.serial] : [])));
  for (const running of Object.values(context.state.running)) {
    if (goesOn && running.as.goesOn) continue;
    const ends =
      running.belongsTo === null ? !stillHeld.has(running.serial) && which(running.owner) : macros(running);
    if (!ends) continue;
    stopMacro(context, running);
    const { device, control } = running.owner;
    if (running.holds.length > 0) ended.push({ device, control, holds: heldBy(running) });
  }
  for (const using of Object.values(context.state.confirmations)) {
    if (which(using)) endConfirmation(context, using);
  }
  dropOnce(context, ({ owner }) => which(owner));
  const { radial } = context.state;
  if (radial && which(radial.owner)) closeMenu(context, radial, null);
  return ended;
}

/**
 * Ends and forgets everything of one device, or of all for null. A ring that is away from its rest stays silent until
 * it is back there, unless its device is gone. Its folders close when it is gone; which sets were chosen is forgotten only
 * with all.
 */
export function endAllOf(context: StepContext, device: string | null, gone: boolean): readonly Ended[] {
  const goes = (owner: string) => device === null || owner === device;
  const which = (using: Using) => goes(using.device);
  const macros = ({ owner }: Running) => which(owner);
  const ended = endOutputs(context, { down: which, background: which, macros, goesOn: false });
  if (gone || device === null) forgetPages(context, device);
  const ownedBy = (key: string) => key.slice(0, key.indexOf('/'));
  const kept = <Value>(record: Readonly<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !goes(ownedBy(key))));
  context.state.held = kept(context.state.held);
  context.state.turned = kept(context.state.turned);
  context.state.sliderValues = kept(context.state.sliderValues);
  const { springs } = context.state;
  context.state.springs = gone
    ? kept(springs)
    : Object.fromEntries(
        Object.entries(springs).map(([key, spring]) => [
          key,
          goes(ownedBy(key)) ? { ...spring, use: null, silent: true } : spring,
        ]),
      );
  return ended;
}
