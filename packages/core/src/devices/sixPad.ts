import { type Device, deviceOf } from './device.ts';
import { keyGrid } from './keyGrid.ts';

/** A small pad of six keys in two rows. */
export function sixPad(id: string, name = 'Six pad'): Device {
  return deviceOf({
    id,
    name,
    kind: 'key-pad',
    width: 86,
    height: 60,
    body: [{ kind: 'rect', x: 1, y: 1, width: 84, height: 58, radius: 9 }],
    controls: [...keyGrid('key', { count: 6, columns: 3, left: 7, top: 7, size: 21, pitch: 25.5 })],
    memory: { slots: 1, slotBytes: 48 },
  });
}
