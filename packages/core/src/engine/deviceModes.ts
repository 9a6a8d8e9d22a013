import { WHEEL_MODES, type WheelMode } from '../devices/index.ts';
import type { Effect } from './effect.ts';
import { withEntry, without } from './record.ts';
import type { EngineState, Hold, ModeHold } from './state.ts';
import { nextSerial, type StepContext } from './stepContext.ts';

/** What a device has one of several of at a time, kept by its place in their list. */
export type DeviceMode = 'speed' | 'wheel-mode' | 'computer';
/** Those that may count only while something is held. */
type HeldMode = Exclude<DeviceMode, 'computer'>;

/** Where the state keeps each. */
const FIELDS = {
  speed: 'speeds',
  'wheel-mode': 'wheelModes',
  computer: 'computers',
} as const satisfies Record<DeviceMode, keyof EngineState>;
const HOLD_FIELDS = {
  speed: 'speedHolds',
  'wheel-mode': 'wheelModeHolds',
} as const satisfies Record<HeldMode, keyof EngineState>;

/** Sets which of its list a device uses, and says so where that is another. */
export function setDeviceMode(context: StepContext, kind: DeviceMode, device: string, at: number): void {
  if (modeOf(context, kind, device) === at) return;
  context.state[FIELDS[kind]] = withEntry(context.state[FIELDS[kind]], device, at);
  context.changes.push({ kind, device, at });
}

/** What a device uses now; as its settings have it where nothing changed it. */
function modeOf({ state, compiled }: StepContext, kind: DeviceMode, device: string): number {
  const isFree = compiled.settings.get(device)?.wheel.free ?? false;
  return state[FIELDS[kind]][device] ?? (kind === 'wheel-mode' ? indexOfMode(isFree) : 0);
}

/**
 * How the wheels of a device turn now.
 *
 * @param isFree as its settings have it
 */
export function wheelModeNow({ wheelModes }: EngineState, device: string, isFree: boolean): WheelMode {
  return WHEEL_MODES[wheelModes[device] ?? indexOfMode(isFree)] ?? 'ratchet';
}

/** The place of what the settings say in the list of modes. */
function indexOfMode(isFree: boolean): number {
  return WHEEL_MODES.indexOf(isFree ? 'free' : 'ratchet');
}

/** Changes a device's pointer speed. */
export function changeSpeed(
  context: StepContext,
  { change, step }: Extract<Effect, { kind: 'speed' }>,
  device: string,
): readonly Hold[] {
  const count = context.compiled.settings.get(device)?.pointerSpeeds.length ?? 0;
  if (count === 0) return [];
  switch (change) {
    case 'next':
      return setBase(context, 'speed', device, (before) => (before + 1) % count);
    case 'previous':
      return setBase(context, 'speed', device, (before) => (before + count - 1) % count);
    case 'set':
      return setBase(context, 'speed', device, () => step % count);
    case 'while-held':
      return holdMode(context, 'speed', device, step % count);
  }
}

/** Changes how a device's wheels turn; nothing where it has none. */
export function changeWheelMode(
  context: StepContext,
  { change, mode }: Extract<Effect, { kind: 'wheel-mode' }>,
  device: string,
): readonly Hold[] {
  const controls = [...(context.compiled.controls.get(device)?.values() ?? [])];
  if (!controls.some(({ control }) => control.kind === 'wheel')) return [];
  const at = WHEEL_MODES.indexOf(mode);
  switch (change) {
    case 'toggle':
      return setBase(context, 'wheel-mode', device, (before) => (before + 1) % WHEEL_MODES.length);
    case 'set':
      return setBase(context, 'wheel-mode', device, () => at);
    case 'while-held':
      return holdMode(context, 'wheel-mode', device, at);
  }
}

/** Of several that are held the newest counts; what is set meanwhile is back when none is held any more. */
function setBase(
  context: StepContext,
  kind: HeldMode,
  device: string,
  next: (before: number) => number,
): readonly Hold[] {
  const { base, held } = holdsOf(context, kind, device);
  setHolds(context, kind, device, next(base), held);
  return [];
}

/** One thing more holds one of the list. */
function holdMode(context: StepContext, kind: HeldMode, device: string, at: number): readonly Hold[] {
  const { base, held } = holdsOf(context, kind, device);
  const serial = nextSerial(context);
  setHolds(context, kind, device, base, [...held, { serial, at }]);
  return [{ kind, device, serial }];
}

/** One thing less holds one. */
export function endModeHold(
  context: StepContext,
  { kind, device, serial }: Extract<Hold, { kind: HeldMode }>,
): void {
  const { base, held } = holdsOf(context, kind, device);
  const left = held.filter((each) => each.serial !== serial);
  setHolds(context, kind, device, base, left);
}

/** With nothing held what is used is what comes back. */
function holdsOf(context: StepContext, kind: HeldMode, device: string) {
  return context.state[HOLD_FIELDS[kind]][device] ?? { base: modeOf(context, kind, device), held: [] };
}

/** The newest that is held counts. */
function setHolds(
  context: StepContext,
  kind: HeldMode,
  device: string,
  base: number,
  held: readonly ModeHold[],
): void {
  const field = HOLD_FIELDS[kind];
  const before = context.state[field];
  context.state[field] =
    held.length > 0 ? withEntry(before, device, { base, held }) : without(before, device);
  setDeviceMode(context, kind, device, held.at(-1)?.at ?? base);
}
