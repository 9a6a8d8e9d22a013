import { type Compiled, controlAt, INITIAL_STATE, showing, step } from '@nimble-lever/core/engine';
import { eventsOfUse, TRIED_MS } from '@nimble-lever/core/review';
import type { Slot } from '@nimble-lever/core/setup';
import { changeWords } from '@nimble-lever/core/words';
import { WORDS } from '../words.ts';

/** A span in which something is down, in milliseconds; a wheel tick has no length. */
export interface Pulse {
  readonly from: number;
  readonly to: number;
}

/** What comes of using a control once. */
export interface Tried {
  /** In the order of time; one that is not over ends with the try. */
  readonly pulses: readonly Pulse[];
  /** What it changes in Nimble Lever itself, in words: a layer, a page, a menu that opens; and what it asks for. */
  readonly changes: readonly string[];
}

/** What comes out when a control is used once where it is set: the engine itself is asked, with the profile pinned. */
export function triedOut(compiled: Compiled, slot: Slot): Tried {
  const { profile, layer, device, control, trigger } = slot;
  const known = controlAt(compiled, device, control)?.control;
  if (!known) return { pulses: [], changes: [] };
  const program = compiled.setup.profiles[profile]?.program ?? null;
  // Pinned, so that what is in front at the moment does not matter.
  const pinned = step(compiled, INITIAL_STATE, { kind: 'pin', t: 0, profile }).state;
  let state = showing(compiled, { ...pinned, frontProgram: program }, layer);
  // The span runs from the first thing that goes down to the last that comes up: Ctrl and Z are one pulse.
  let since: number | null = null;
  let down = 0;
  const pulses: Pulse[] = [];
  const changes = new Set<string>();
  for (const event of eventsOfUse(device, known, trigger)) {
    const stepped = step(compiled, state, event);
    // Its own program gets what is sent, wherever it is now.
    state = { ...stepped.state, frontProgram: program };
    // What came due on the way counts as well: a hold comes by itself, without an event.
    for (const change of [...stepped.due, stepped.explanation].flatMap((each) => each.changes)) {
      if (change.kind === 'guard' && change.asks) changes.add(WORDS.asksFor[change.how]);
      if (change.kind === 'no-intent' && change.program === null) changes.add(WORDS.intentDepends);
      else for (const words of changeWords(compiled.setup, change)) changes.add(words);
    }
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
  // What is still down at the end is drawn to the end: a latch stays.
  if (down > 0 && since !== null) pulses.push({ from: since, to: TRIED_MS });
  return { pulses, changes: [...changes] };
}
