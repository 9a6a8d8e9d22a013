import type { Explanation } from '@nimble-lever/core/engine';
import type { Happening, Ran } from '../../app/engine/engineSlice.ts';
import { isWorthTelling } from '../../app/engine/worthTelling.ts';

/** Turns of one control this close together are told as one: milliseconds. */
const TOGETHER_MS = 700;

/** One entry of the account: an event, or a run of turns told as one. */
export interface AccountItem {
  /** The first event it tells of. */
  readonly key: number;
  readonly explanation: Explanation;
  /** What programs did with it, the same in a row counted. */
  readonly ran: readonly (Ran & { readonly count: number })[];
}

/** The account, newest first: what is worth telling, with turns that belong together added up. */
export function accountItems(happenings: readonly Happening[]): readonly AccountItem[] {
  const items: AccountItem[] = [];
  for (const { explanation, ran } of happenings.toReversed()) {
    if (!isWorthTelling(explanation)) continue;
    // Only neighbours are joined: between two turns something else may have changed what they mean. Of a pad that slides
    // both ways at once the other way stands between.
    const at = slidesOtherWay(items.at(-1), explanation) ? items.length - 2 : items.length - 1;
    const last = items[at];
    const joined = last ? joinTold(last.explanation, explanation) : null;
    if (last && joined) items[at] = { ...last, explanation: joined, ran: countRan(last.ran, ran) };
    else items.push({ key: explanation.seq, explanation, ran: countRan([], ran) });
  }
  return items.toReversed();
}

/** Whether what was told last is the other way of what slides now. */
function slidesOtherWay(last: AccountItem | undefined, { event }: Explanation): boolean {
  const before = last?.explanation.event;
  return (
    before?.kind === 'position' &&
    event.kind === 'position' &&
    before.device === event.device &&
    before.control === event.control &&
    before.axis !== event.axis
  );
}

/** Two neighbours told as one, where they belong together; null where they do not. */
function joinTold(a: Explanation, b: Explanation): Explanation | null {
  return joinTurns(a, b) ?? joinRepeat(a, b) ?? joinSlides(a, b) ?? joinGuarded(a, b);
}

/** Two turns of a control the same way, one soon after the other, as one; null where they are not. */
function joinTurns(a: Explanation, b: Explanation): Explanation | null {
  if (a.event.kind !== 'turn' || b.event.kind !== 'turn') return null;
  if (a.outcome.kind !== 'turned' || b.outcome.kind !== 'turned') return null;
  const [from, to] = [a.outcome.resolution, b.outcome.resolution];
  // The same binding as well: an edit in between makes two entries.
  const same =
    from.device === to.device &&
    from.control === to.control &&
    from.trigger === to.trigger &&
    from.decided?.binding === to.decided?.binding &&
    a.event.unit === b.event.unit;
  if (!same || b.t - a.t > TOGETHER_MS) return null;
  return {
    ...b,
    event: { ...b.event, amount: a.event.amount + b.event.amount },
    outcome: { ...b.outcome, steps: a.outcome.steps + b.outcome.steps },
    strokes: [...a.strokes, ...b.strokes],
  };
}

/** A slider on its way is told once, with where it is now: its last value, and all the steps it made. */
function joinSlides(a: Explanation, b: Explanation): Explanation | null {
  if (a.outcome.kind !== 'slid' || b.outcome.kind !== 'slid') return null;
  if (a.event.kind !== 'position' || b.event.kind !== 'position') return null;
  if (a.event.device !== b.event.device || a.event.control !== b.event.control) return null;
  if (a.event.axis !== b.event.axis) return null;
  if (b.t - a.t > TOGETHER_MS) return null;
  const isMessage = ({ kind }: Explanation['strokes'][number]) => kind === 'message';
  return {
    ...b,
    outcome: {
      ...b.outcome,
      steps: a.outcome.steps + b.outcome.steps,
      stepped: b.outcome.stepped ?? a.outcome.stepped,
    },
    strokes: [...a.strokes.filter((stroke) => !isMessage(stroke)), ...b.strokes],
  };
}

/** A press that asked for more is one with what became of it. */
function joinGuarded(a: Explanation, b: Explanation): Explanation | null {
  if (a.outcome.kind !== 'guarded' || !a.outcome.asks) return null;
  const after = b.outcome.kind === 'pressed' || b.outcome.kind === 'guarded' ? b.outcome.resolution : null;
  const { device, control, trigger } = a.outcome.resolution;
  if (after?.device !== device || after.control !== control || after.trigger !== trigger) return null;
  // The hand pressed once, whatever came of it by its release or by time.
  return { ...b, event: a.event };
}

/** A press sent again is told with the press. */
function joinRepeat(a: Explanation, b: Explanation): Explanation | null {
  if (b.outcome.kind !== 'repeated' || a.outcome.kind !== 'pressed' || !('control' in b.event)) return null;
  const { device, control } = a.outcome.resolution;
  if (device !== b.event.device || control !== b.event.control) return null;
  return { ...a, strokes: [...a.strokes, ...b.strokes] };
}

/** Runs of the same command are counted: a dial of forty steps is one line. */
function countRan(before: AccountItem['ran'], more: readonly Ran[]): AccountItem['ran'] {
  const counted = [...before];
  for (const ran of more) {
    const at = counted.findIndex(
      ({ program, command }) => program === ran.program && command === ran.command,
    );
    const known = counted[at];
    if (known) counted[at] = { ...ran, count: known.count + 1 };
    else counted.push({ ...ran, count: 1 });
  }
  return counted;
}
