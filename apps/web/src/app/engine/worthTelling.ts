import type { Explanation } from '@nimble-lever/core/engine';
import { sentOf } from '@nimble-lever/core/words';

/**
 * Whether something belongs into an account of what happened. What would only fill it does not: a press that waits to
 * become something, the pointer's way, releases that say nothing.
 */
export function isWorthTelling({ outcome, event, changes, strokes }: Explanation): boolean {
  if (outcome.kind === 'released') {
    // Something is sent by the release itself: that style, or an item of a menu that is let go on.
    const chose = changes.some(({ kind }) => kind === 'radial-closed');
    // What runs while it is held has ended.
    const ended = changes.some((change) => change.kind === 'macro' && !change.runs);
    return outcome.silent || chose || ended || sentOf(strokes).length > 0;
  }
  if (event.kind === 'edited') return changes.length > 0;
  // The pointer's way is no news; what it nudged is.
  if (outcome.kind === 'moved') return outcome.nudged.length > 0 || changes.length > 0;
  return outcome.kind !== 'noted' && outcome.kind !== 'waiting';
}
