import type { Trigger } from '../devices/index.ts';
import type { Resolution } from '../resolve/index.ts';
import { controlAt } from './compile.ts';
import type { EventOf } from './event.ts';
import type { Outcome } from './explanation.ts';
import { dropWaiting, setWaiting } from './press.ts';
import { moveInMenu } from './radial.ts';
import type { StepContext } from './stepContext.ts';
import { start } from './styles.ts';

/**
 * The pointer moves: it adds up for every control that is down and may become a nudge, and in an open radial
 * menu. A direction that is not bound does not fire; the movement goes on adding up.
 */
export function move(context: StepContext, { dx, dy }: EventOf<'move'>): Outcome {
  const open = context.state.radial;
  const nudged: Resolution[] = [];
  for (const waiting of Object.values(context.state.waiting)) {
    if (!waiting.down || !waiting.nudges) continue;
    const moved = { ...waiting, dx: waiting.dx + dx, dy: waiting.dy + dy };
    const { device, control } = waiting.press.using;
    const distance =
      controlAt(context.compiled, device, control)?.settings.nudgeDistance ?? Number.POSITIVE_INFINITY;
    const far = Math.hypot(moved.dx, moved.dy) >= distance;
    const use = far ? waiting.nudges[directionOf(moved.dx, moved.dy)] : undefined;
    if (use) {
      dropWaiting(context, waiting);
      start(context, use, waiting);
      nudged.push(use.resolution);
    } else setWaiting(context, moved);
  }
  // The movement that opened a menu is not one inside it.
  if (context.state.radial === open) moveInMenu(context, dx, dy);
  return { kind: 'moved', nudged };
}

/** The nearest of four directions; a diagonal is vertical. */
function directionOf(dx: number, dy: number): Trigger {
  if (Math.abs(dx) > Math.abs(dy)) return dx > 0 ? 'nudge-right' : 'nudge-left';
  return dy > 0 ? 'nudge-down' : 'nudge-up';
}
