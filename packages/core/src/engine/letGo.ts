import type { Ended } from './explanation.ts';
import { stopAsking } from './guard.ts';
import { closePages, dropOnce } from './layers.ts';
import { stopMacro } from './macros.ts';
import { end } from './outputs.ts';
import { dropWaiting } from './press.ts';
import { closeMenu } from './radial.ts';
import { type Run, withEntry, without } from './run.ts';
import type { Held, Hold, Using } from './state.ts';
import { keepHeld, quietly } from './styles.ts';
import { dropTimer } from './timers.ts';

type Which = (using: Using) => boolean;

/** What is ended. */
interface Ending {
  /** Of controls that are down or away from rest. */
  readonly down: Which;
  /** Of what goes on by itself: latches, macros, pages, an open menu. */
  readonly rest: Which;
  /** Whether macros that are marked to go on are spared. */
  readonly goesOn: boolean;
}

/**
 * Ends everything whose use is picked: what is held, repeated or latched, presses not decided yet, rings away
 * from rest, macros, pages, layers for one press, the open menu. Newest first. Controls that are still down come
 * up in silence.
 */
export function endWhere(run: Run, ending: Ending): readonly Ended[] {
  const { down: which, rest } = ending;
  const ended: Ended[] = [];
  const note = ({ device, control }: Using, holds: readonly Hold[]) => {
    if (holds.length > 0) ended.push({ device, control, holds });
  };
  for (const held of Object.values(run.state.held).toReversed()) {
    if (held.silent || !which(held.using)) continue;
    end(run, held.holds);
    note(held.using, held.holds);
    comeUpInSilence(run, held);
  }
  endLatched(run, rest, note);
  for (const waiting of Object.values(run.state.waiting)) {
    const nudges = Object.values(waiting.nudges ?? {});
    const choices = [waiting.press, waiting.hold, waiting.double, ...nudges];
    if (!choices.some((choice) => choice && which(choice.using))) continue;
    dropWaiting(run, waiting);
    if (waiting.down) keepHeld(run, { ...quietly(waiting.press, waiting.since), silent: true });
  }
  for (const [key, sprung] of Object.entries(run.state.sprung)) {
    if (sprung.silent || !which(sprung.choice.using)) continue;
    dropTimer(run, 'shuttle', key);
    run.state.sprung = withEntry(run.state.sprung, key, { ...sprung, silent: true });
  }
  endBackground(run, ending);
  return ended;
}

function endLatched(run: Run, which: Which, note: (using: Using, holds: readonly Hold[]) => void): void {
  for (const [key, latched] of Object.entries(run.state.latched).toReversed()) {
    if (!which(latched.using)) continue;
    run.state.latched = without(run.state.latched, key);
    end(run, latched.holds);
    note(latched.using, latched.holds);
  }
}

/** Ends what goes on without a control being down. */
function endBackground(run: Run, { rest: which, goesOn }: Ending): void {
  const stillHeld = new Set(
    Object.values(run.state.held).flatMap(({ holds }) =>
      holds.flatMap((hold) => (hold.kind === 'macro' ? [hold.macro] : [])),
    ),
  );
  for (const { macro, owner } of Object.values(run.state.running)) {
    if (stillHeld.has(macro.id) || (goesOn && macro.goesOn)) continue;
    if (which(owner)) stopMacro(run, macro.id);
  }
  for (const using of Object.values(run.state.asking)) if (which(using)) stopAsking(run, using);
  dropOnce(run, ({ owner }) => which(owner));
  closePages(run, which);
  const { radial } = run.state;
  if (radial && which(radial.owner)) closeMenu(run, radial, null);
}

function comeUpInSilence(run: Run, held: Held): void {
  const { key } = held.using;
  dropTimer(run, 'repeat', key);
  dropTimer(run, 'guard', key);
  keepHeld(run, { ...held, holds: [], silent: true, later: null, guarded: null });
}

/** Ends and forgets everything of one device, or of all for null. */
export function letGo(run: Run, device: string | null): readonly Ended[] {
  const goes = (owner: string) => device === null || owner === device;
  const which = (using: Using) => goes(using.device);
  const ended = endWhere(run, { down: which, rest: which, goesOn: false });
  const kept = <Value>(record: Readonly<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !goes(key.slice(0, key.indexOf('/')))));
  run.state.held = kept(run.state.held);
  run.state.turned = kept(run.state.turned);
  run.state.sprung = kept(run.state.sprung);
  run.state.slid = kept(run.state.slid);
  return ended;
}
