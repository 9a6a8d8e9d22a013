import type { Trigger } from '../devices/index.ts';
import { type Binding, type Profile, slotKey } from '../setup/index.ts';

/** One place that was looked at: what stands there and what became of it. */
export interface Look {
  readonly profile: string;
  readonly layer: string;
  /** Null where nothing is set: the next place is looked at. */
  readonly binding: Binding | null;
  /** `decides`: the first that is set. `inherit`: nothing set. `under`: set, but something above decided. */
  readonly verdict: 'decides' | 'inherit' | 'under';
}

/** Which binding decides for a control and trigger, and every place looked at, in order. */
export interface Resolution {
  readonly device: string;
  readonly control: string;
  readonly trigger: Trigger;
  /** Null where nothing is set: the control does what it does by itself. */
  readonly decided: { readonly profile: string; readonly layer: string; readonly binding: Binding } | null;
  /** In the order in which they were looked at, to the one that decided. */
  readonly looked: readonly Look[];
}

/**
 * Looks a control's trigger up: layer by layer from the top down; within a layer through the profile
 * chain. The first place that is set decides.
 *
 * @param chain the profile, what it is based on, Everywhere (see `profileChain`)
 * @param layers the active layers from the top down, the base layer last
 */
export function resolveBehaviour(
  chain: readonly Profile[],
  layers: readonly string[],
  device: string,
  control: string,
  trigger: Trigger,
): Resolution {
  const looked: Look[] = [];
  let decided: Resolution['decided'] = null;
  for (const layer of layers) {
    const key = slotKey(layer, device, control, trigger);
    for (const profile of chain) {
      const binding = profile.bindings[key] ?? null;
      const verdict = binding === null ? 'inherit' : decided === null ? 'decides' : 'under';
      if (binding && !decided) decided = { profile: profile.id, layer, binding };
      looked.push({ profile: profile.id, layer, binding, verdict });
    }
  }
  return { device, control, trigger, decided, looked };
}

/** What would decide if the deciding binding were not there: the next place that is set, or null. */
export function nextUnder(resolution: Resolution): Look | null {
  return resolution.looked.find(({ verdict }) => verdict === 'under') ?? null;
}
