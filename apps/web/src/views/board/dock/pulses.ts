import {
  type Compiled,
  controlAt,
  eventsOfUse,
  INITIAL_STATE,
  step,
  TRIED_MS,
} from '@nimble-lever/core/engine';
import type { Slot } from '@nimble-lever/core/setup';

/** A span in which something is down, in milliseconds; a wheel tick has no length. */
export interface Pulse {
  readonly from: number;
  readonly to: number;
}

/** What comes out when a control is used once: the engine itself is asked, with the profile pinned. */
export function pulsesOf(compiled: Compiled, slot: Slot): readonly Pulse[] {
  const { profile, device, control, trigger } = slot;
  const known = controlAt(compiled, device, control)?.control;
  if (!known) return [];
  let state = INITIAL_STATE;
  let since: number | null = null;
  let down = 0;
  const pulses: Pulse[] = [];
  for (const event of [{ kind: 'pin' as const, t: 0, profile }, ...eventsOfUse(device, known, trigger)]) {
    const stepped = step(compiled, state, event);
    state = stepped.state;
    for (const stroke of stepped.strokes) {
      if (!('code' in stroke || 'button' in stroke)) pulses.push({ from: stroke.t, to: stroke.t });
      else if (stroke.kind.endsWith('down')) {
        if (down === 0) since = stroke.t;
        down += 1;
      } else {
        down -= 1;
        if (down === 0 && since !== null) pulses.push({ from: since, to: stroke.t });
      }
    }
  }
  if (down > 0 && since !== null) pulses.push({ from: since, to: TRIED_MS });
  return pulses;
}
