import type { Control, Device } from '../../devices/index.ts';

/** A control with its device's settings: each output is asked for anew, by what the settings say of it. */
export function withSettings({ settings }: Device, control: Control): Control {
  const native: Control['native'] = {};
  for (const [trigger, output] of Object.entries(control.native)) {
    if (output.kind === 'button') {
      const other = new Map([
        [0, 2],
        [2, 0],
      ]);
      const button = settings.swapped ? (other.get(output.button) ?? output.button) : output.button;
      native[trigger as keyof Control['native']] = { kind: 'button', button };
      continue;
    }
    const lines = control.kind === 'wheel' ? output.ticks * settings.wheel.lines : output.ticks;
    const ticks = lines < 0 ? Math.max(lines, -20) : Math.min(lines, 20);
    const back = control.kind === 'wheel' && settings.wheel.reversed;
    native[trigger as keyof Control['native']] = { ...output, ticks: back ? -ticks : ticks };
  }
  const { rotor } = control;
  const free = control.kind === 'wheel' && settings.wheel.free && rotor?.kind === 'detented';
  return {
    ...control,
    native,
    rotor: free ? { kind: 'continuous', stepDegrees: rotor.detentDegrees, speedUp: rotor.speedUp } : rotor,
  };
}
