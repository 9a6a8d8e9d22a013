import { controlOf } from './control.ts';
import { type Device, deviceOf } from './device.ts';

/** A large dial that turns without end and can be pressed. */
export function benchDial(id: string, name = 'Bench dial'): Device {
  return deviceOf({
    id,
    name,
    kind: 'dial',
    width: 84,
    height: 84,
    controls: [
      controlOf({
        id: 'dial',
        name: 'Dial',
        kind: 'dial',
        shape: { kind: 'circle', cx: 42, cy: 42, r: 40 },
        cap: { kind: 'circle', cx: 42, cy: 42, r: 27 },
        canPress: true,
        rotor: { kind: 'continuous', stepDegrees: 18, speedUp: null },
      }),
    ],
  });
}
