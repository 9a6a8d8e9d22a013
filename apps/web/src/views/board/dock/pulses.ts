import type { Trigger } from '@nimble-lever/core/devices';
import { type Compiled, type EngineEvent, INITIAL_STATE, step } from '@nimble-lever/core/engine';
import type { Slot } from '@nimble-lever/core/setup';

/** A span in which something is down, in milliseconds; a wheel tick has no length. */
export interface Pulse {
  readonly from: number;
  readonly to: number;
}

/** How long the tried use lasts: milliseconds. */
export const TRIED_MS = 1200;
const TURN_STEPS = 6;

/** Downs and ups that make each kind of press, in milliseconds. */
const PRESSES = { press: [100, 820], hold: [100, 820], 'double-press': [100, 180, 300, 820] } as const;

/**
 * What comes out when a control is used once: the engine itself is asked, with the profile pinned. A turn
 * goes six steps, evenly.
 */
export function pulsesOf(compiled: Compiled, slot: Slot): readonly Pulse[] {
  const { profile, device, control, trigger } = slot;
  const at = { device, control };
  const turns = (amount: number): EngineEvent[] =>
    Array.from({ length: TURN_STEPS }, (_, i) => ({
      kind: 'turn',
      t: ((i + 0.5) * TRIED_MS) / TURN_STEPS,
      ...at,
      unit: 'detents',
      amount,
    }));
  const used = usesOf(trigger, turns, (times) =>
    times.map((t, i) => ({ kind: i % 2 === 0 ? ('down' as const) : ('up' as const), t, ...at })),
  );
  let state = INITIAL_STATE;
  let since: number | null = null;
  let down = 0;
  const pulses: Pulse[] = [];
  for (const event of [
    { kind: 'pin' as const, t: 0, profile },
    ...used,
    { kind: 'time' as const, t: TRIED_MS },
  ]) {
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
  if (down > 0 && since !== null) pulses.push({ from: since, to: TRIED_MS });
  return pulses;
}

function usesOf(
  trigger: Trigger,
  turns: (amount: number) => EngineEvent[],
  presses: (times: readonly number[]) => EngineEvent[],
): EngineEvent[] {
  switch (trigger) {
    case 'clockwise':
      return turns(1);
    case 'anticlockwise':
      return turns(-1);
    case 'pressed-clockwise':
      return [...presses([0]), ...turns(1)];
    case 'pressed-anticlockwise':
      return [...presses([0]), ...turns(-1)];
    default:
      return presses(PRESSES[trigger]);
  }
}
