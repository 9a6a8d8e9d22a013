import { type Device, readingDistance, tunedControl } from '../devices/index.ts';
import type { Panel } from './messages.ts';

/** A device as a remote draws it, with its settings as they are. */
export function panelOf(device: Device): Panel {
  const { id, name, width, height, body, settings, controls } = device;
  return {
    id,
    name,
    width,
    height,
    body,
    distance: readingDistance(device),
    controls: controls.map((control) => {
      const {
        id: own,
        name: called,
        kind,
        shape,
        cap,
        canPress,
        rotor,
        spring,
        slider,
      } = tunedControl(control, settings);
      return { id: own, name: called, kind, shape, cap, canPress, rotor, spring, slider };
    }),
  };
}
