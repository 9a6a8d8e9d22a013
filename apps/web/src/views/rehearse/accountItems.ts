import type { Explanation } from '@nimble-lever/core/engine';
import type { Happening } from '../../app/engine/engineSlice.ts';
import { countRan, joinSlides, slidesOtherWay, TOGETHER_MS } from '../../app/engine/joined.ts';
import { isWorthTelling } from '../../app/engine/worthTelling.ts';

/** The account, newest first: what is worth telling, with turns that belong together added up. */
export function accountItems(happenings: readonly Happening[]): readonly Happening[] {
  const items: Happening[] = [];
  for (const happening of happenings.toReversed()) {
    const { explanation, ran } = happening;
    if (!isWorthTelling(explanation)) continue;
    // Only neighbours are joined: between two turns something else may have changed what they mean. Of a pad that slides
    // both ways at once the other way stands between.
    const at = slidesOtherWay(items.at(-1)?.explanation, explanation) ? items.length - 2 : items.length - 1;
    const last = items[at];
    const joined = last ? joinTold(last.explanation, explanation) : null;
    if (last && joined) items[at] = { ...last, explanation: joined, ran: countRan(last.ran, ran) };
    else items.push(happening);
  }
  return items.toReversed();
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
