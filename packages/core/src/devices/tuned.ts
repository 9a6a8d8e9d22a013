import type { Control, NativeOutput, Rotor } from './control.ts';
import type { DeviceSettings } from './settings.ts';
import type { Trigger } from './trigger.ts';

/** Numbers of mouse buttons (UI Events, `MouseEvent.button`). */
const LEFT = 0;
const RIGHT = 2;

/**
 * A control as its device's settings make it: left and right swapped, a wheel's lines and direction, a wheel
 * without its ratchet. The same control where nothing is set.
 */
export function tunedControl(control: Control, settings: DeviceSettings): Control {
  const { swapped, wheel } = settings;
  const isWheel = control.kind === 'wheel';
  const scrolls = isWheel && (wheel.lines !== 1 || wheel.reversed);
  if (!swapped && !scrolls && !(isWheel && wheel.free)) return control;
  const entries = Object.entries(control.native) as [Trigger, NativeOutput][];
  const native = Object.fromEntries(
    entries.map(([trigger, output]) => [trigger, tunedOutput(output, settings, isWheel)]),
  );
  return { ...control, native, rotor: isWheel && wheel.free ? freed(control.rotor) : control.rotor };
}

/** Settings change what a control does by itself, never what is bound to it. */
function tunedOutput(
  output: NativeOutput,
  { swapped, wheel }: DeviceSettings,
  isWheel: boolean,
): NativeOutput {
  if (output.kind === 'wheel') {
    if (!isWheel) return output;
    const ticks = Math.max(-20, Math.min(20, output.ticks * wheel.lines * (wheel.reversed ? -1 : 1)));
    return { ...output, ticks };
  }
  if (!swapped || (output.button !== LEFT && output.button !== RIGHT)) return output;
  return { ...output, button: output.button === LEFT ? RIGHT : LEFT };
}

/** A wheel without its ratchet adds up degrees as a dial does. */
function freed(rotor: Rotor | null): Rotor | null {
  if (rotor?.kind !== 'detented') return rotor;
  return { kind: 'continuous', stepDegrees: rotor.detentDegrees, speedUp: rotor.speedUp };
}
