import { type Device, deviceOf } from './device.ts';
import { keyGrid } from './keyGrid.ts';

/** A touch panel of eight cells, as large as a hand. */
export function smallPanel(id: string, name = 'Small panel'): Device {
  return deviceOf({
    id,
    name,
    kind: 'touch-panel',
    width: 152,
    height: 82,
    body: [{ kind: 'rect', x: 1, y: 1, width: 150, height: 80, radius: 8 }],
    controls: [...keyGrid('cell', { count: 8, columns: 4, left: 6, top: 6, size: 32, pitch: 36 })],
    battery: true,
  });
}
