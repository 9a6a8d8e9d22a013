import type { Effect } from './effect.ts';
import { withEntry, without } from './record.ts';
import type { Hold, SpeedHold } from './state.ts';
import { nextSerial, type StepContext } from './stepContext.ts';

/** Sets which pointer speed or computer of its list a device uses, and says so where that is another. */
export function setDeviceIndex(
  context: StepContext,
  kind: 'speed' | 'computer',
  device: string,
  at: number,
): void {
  const field = kind === 'speed' ? 'speeds' : 'computers';
  if ((context.state[field][device] ?? 0) === at) return;
  context.state[field] = withEntry(context.state[field], device, at);
  context.changes.push({ kind, device, at });
}

/**
 * Changes a device's pointer speed. Of several that are held the newest counts; the others change the speed that is
 * back when none is held any more.
 */
export function changeSpeed(
  context: StepContext,
  { change, step }: Extract<Effect, { kind: 'speed' }>,
  device: string,
): readonly Hold[] {
  const count = context.compiled.settings.get(device)?.pointerSpeeds.length ?? 0;
  if (count === 0) return [];
  const { base, held } = holdsOf(context, device);
  switch (change) {
    case 'next':
      setSpeeds(context, device, (base + 1) % count, held);
      return [];
    case 'previous':
      setSpeeds(context, device, (base + count - 1) % count, held);
      return [];
    case 'set':
      setSpeeds(context, device, step % count, held);
      return [];
    case 'while-held': {
      const serial = nextSerial(context);
      setSpeeds(context, device, base, [...held, { serial, step: step % count }]);
      return [{ kind: 'speed', device, serial }];
    }
  }
}

/** One thing less holds a speed. */
export function endSpeed(context: StepContext, { device, serial }: Extract<Hold, { kind: 'speed' }>): void {
  const { base, held } = holdsOf(context, device);
  const left = held.filter((each) => each.serial !== serial);
  setSpeeds(context, device, base, left);
}

/** With nothing held the speed itself is what comes back. */
function holdsOf({ state }: StepContext, device: string) {
  return state.speedHolds[device] ?? { base: state.speeds[device] ?? 0, held: [] };
}

/** The newest that is held counts. */
function setSpeeds(context: StepContext, device: string, base: number, held: readonly SpeedHold[]): void {
  const { speedHolds } = context.state;
  context.state.speedHolds =
    held.length > 0 ? withEntry(speedHolds, device, { base, held }) : without(speedHolds, device);
  setDeviceIndex(context, 'speed', device, held.at(-1)?.step ?? base);
}
