import { controlKey } from './compile.ts';
import type { Ended } from './explanation.ts';
import { dropWaiting } from './press.ts';
import { end, NO_OUTPUT, type Run } from './run.ts';
import type { Choice, Held, Output, Using, Waiting } from './state.ts';
import { dropTimers } from './timers.ts';

/**
 * Ends everything whose use `which` picks: what is held, repeated or latched, and presses not decided yet.
 * Newest first. Controls that are still down come up in silence.
 */
export function endWhere(run: Run, which: (using: Using) => boolean): readonly Ended[] {
  const ended: Ended[] = [];
  const note = ({ device, control }: Using, { codes, buttons }: Output) => {
    if (codes.length + buttons.length > 0) ended.push({ device, control, codes, buttons });
  };
  for (const held of Object.values(run.state.held).toReversed()) {
    if (held.silent || !which(held)) continue;
    end(run, held);
    note(held, held);
    comeUpInSilence(run, held);
  }
  for (const [key, latched] of Object.entries(run.state.latched).toReversed()) {
    if (!which(latched)) continue;
    end(run, latched);
    note(latched, latched);
    const { [key]: _ended, ...others } = run.state.latched;
    run.state.latched = others;
  }
  for (const waiting of Object.values(run.state.waiting)) {
    const choices = [waiting.press, waiting.hold, waiting.double];
    if (!choices.some((choice) => choice && which(usingOf(choice)))) continue;
    dropWaiting(run, waiting);
    if (waiting.down) comeUpInSilence(run, silentHeld(waiting));
  }
  return ended;
}

function comeUpInSilence(run: Run, held: Held): void {
  const { device, control } = held;
  dropTimers(run, (timer) => timer.device === device && timer.control === control);
  const silent: Held = { ...held, ...NO_OUTPUT, silent: true, later: null };
  run.state.held = { ...run.state.held, [controlKey(device, control)]: silent };
}

function silentHeld({ press, since }: Waiting): Held {
  return { ...usingOf(press), ...NO_OUTPUT, since, silent: true, turned: false, later: null };
}

function usingOf({ resolution: { device, control, trigger, decided } }: Choice): Using {
  return { device, control, trigger, decided };
}

/** Ends and forgets everything of one device, or of all for null. */
export function letGo(run: Run, device: string | null): readonly Ended[] {
  const goes = (owner: string) => device === null || owner === device;
  const ended = endWhere(run, (using) => goes(using.device));
  const kept = <Value>(record: Readonly<Record<string, Value>>) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !goes(key.slice(0, key.indexOf('/')))));
  dropTimers(run, (timer) => goes(timer.device));
  run.state.held = kept(run.state.held);
  run.state.turned = kept(run.state.turned);
  return ended;
}
