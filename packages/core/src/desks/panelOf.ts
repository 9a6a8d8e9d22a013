import { type Device, readingDistance, tunedControl } from '../devices/index.ts';
import { controlsOnPage, type Setup } from '../setup/index.ts';
import type { Panel } from './messages.ts';

/**
 * A device as a remote draws it while a page of it shows, with its settings as they are.
 *
 * @param page null for the device's own
 */
export function panelOf(setup: Pick<Setup, 'pages'>, device: Device, page: string | null): Panel {
  const { id, name, width, height, body, settings, panel } = device;
  const shown = setup.pages.find((each) => each.id === page);
  return {
    id,
    name,
    width,
    height,
    body,
    distance: readingDistance(device),
    picture: (shown ? shown.picture : panel?.picture) ?? null,
    controls: controlsOnPage(setup, device, page).map((control) => {
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
        across,
        cell,
      } = tunedControl(control, settings);
      return { id: own, name: called, kind, shape, cap, canPress, rotor, spring, slider, across, cell };
    }),
  };
}
