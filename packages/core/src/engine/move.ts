import type { Trigger } from '../devices/index.ts';
import type { Resolution } from '../resolve/index.ts';
import { controlAt } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { dropWaiting, keepWaiting } from './press.ts';
import { moveInMenu } from './radial.ts';
import type { Run } from './run.ts';
import { start } from './styles.ts';

/**
 * The pointer moves: it adds up for every control that is down and may become a nudge, and in an open radial
 * menu. A direction that is not bound does not fire; the movement goes on adding up.
 */
export function move(run: Run, { dx, dy }: EventOf<'move'>): Outcome {
  const nudged: Resolution[] = [];
  for (const waiting of Object.values(run.state.waiting)) {
    if (!waiting.down || !waiting.nudges) continue;
    const moved = { ...waiting, dx: waiting.dx + dx, dy: waiting.dy + dy };
    const { device, control } = waiting.press.using;
    const distance =
      controlAt(run.compiled, device, control)?.settings.nudgeDistance ?? Number.POSITIVE_INFINITY;
    const far = Math.hypot(moved.dx, moved.dy) >= distance;
    const choice = far ? waiting.nudges[directionOf(moved.dx, moved.dy)] : undefined;
    if (choice) {
      dropWaiting(run, waiting);
      start(run, choice, waiting.since);
      nudged.push(choice.resolution);
    } else keepWaiting(run, moved);
  }
  moveInMenu(run, dx, dy);
  return { kind: 'moved', nudged };
}

/** The nearest of four directions; a diagonal is vertical. */
function directionOf(dx: number, dy: number): Trigger {
  if (Math.abs(dx) > Math.abs(dy)) return dx > 0 ? 'nudge-right' : 'nudge-left';
  return dy > 0 ? 'nudge-down' : 'nudge-up';
}
