import { type Compiled, type EngineEvent, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import type { Slot } from '@nimble-lever/core/setup';

/** A span in which something is down, in milliseconds; a wheel tick has no length. */
export interface Pulse {
  readonly from: number;
  readonly to: number;
}

/** How long the tried press, or turn, lasts: milliseconds. */
export const TRIED_MS = 600;
const PRESS = { down: 100, up: 400 } as const;
const TURN_STEPS = 6;

/**
 * What comes out when a control is used once: the engine itself is asked, with the profile pinned. A press
 * goes down at 100 ms and comes up at 400; a turn goes six steps, evenly.
 */
export function pulsesOf(compiled: Compiled, slot: Slot): readonly Pulse[] {
  const { profile, device, control, trigger } = slot;
  const at = { device, control };
  const sign = trigger === 'clockwise' ? 1 : -1;
  const used: EngineEvent[] =
    trigger === 'press'
      ? [
          { kind: 'down', t: PRESS.down, ...at },
          { kind: 'up', t: PRESS.up, ...at },
        ]
      : Array.from({ length: TURN_STEPS }, (_, i) => ({
          kind: 'turn' as const,
          t: ((i + 0.5) * TRIED_MS) / TURN_STEPS,
          ...at,
          unit: 'detents' as const,
          amount: sign,
        }));
  let state = INITIAL_STATE;
  let since: number | null = null;
  let down = 0;
  const pulses: Pulse[] = [];
  for (const event of [{ kind: 'pin' as const, t: 0, profile }, ...used]) {
    const stepped = step(compiled, state, event);
    state = stepped.state;
    for (const stroke of stepped.strokes) {
      if (stroke.kind === 'wheel') pulses.push({ from: stroke.t, to: stroke.t });
      else if (stroke.kind.endsWith('down')) {
        if (down === 0) since = stroke.t;
        down += 1;
      } else {
        down -= 1;
        if (down === 0 && since !== null) pulses.push({ from: since, to: stroke.t });
      }
    }
  }
  return pulses;
}
