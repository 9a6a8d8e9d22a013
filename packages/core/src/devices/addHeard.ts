import { type Control, controlOf } from './control.ts';
import type { Device } from './device.ts';
import { freeId } from './freeId.ts';
import type { HeardChange } from './heard.ts';
import { cutName } from './names.ts';
import { shapeBox } from './shapeBox.ts';

/** Controls that are added stand in a row below the others: millimetres. */
const SIZE = 18;
/**
 * Millimetres between keys that were heard, and around them: they are drawn in a row, as nobody knows where they are.
 */
const GAP = 4;
const MARGIN = 6;

/** The most sources one control may be heard as. */
const MOST_HEARD = 8;

/**
 * A device with one control more, for something that was heard and belongs to none: a key, a slider for what has
 * values, a knob for what turns. It is named after what was heard and drawn below the others.
 */
export function addHeardControl(
  device: Device,
  id: string,
  name: string,
  change: HeardChange,
): { readonly device: Device; readonly control: Control } {
  const own = freeId(name, new Set(device.controls.map((control) => control.id)), 'control');
  const shape = nextPlace(device);
  const box = shapeBox(shape);
  const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const common = { id: own, name: cutName(name), heardAs: [id] };
  const control =
    change.kind === 'turn'
      ? controlOf({
          ...common,
          kind: 'knob',
          shape: { kind: 'circle', cx, cy, r: SIZE / 2 },
          cap: { kind: 'circle', cx, cy, r: SIZE / 3.5 },
          canPress: false,
          rotor: { kind: 'detented', detentDegrees: 15, speedUp: null },
        })
      : change.kind === 'value'
        ? controlOf({
            ...common,
            kind: 'slider',
            shape,
            canPress: false,
            slider: { thresholds: [0.25, 0.5, 0.75] },
          })
        : controlOf({ ...common, kind: 'key', shape, canPress: true });
  const height = Math.max(device.height, box.bottom + MARGIN);
  const width = Math.max(device.width, box.right + MARGIN);
  return { device: { ...device, width, height, controls: [...device.controls, control] }, control };
}

/** Where the next control is drawn: on in the lowest row, or in a new one below all. */
function nextPlace({ controls, body, width }: Device) {
  const boxes = [...body, ...controls.map(({ shape }) => shape)].map(shapeBox);
  const bottom = Math.max(MARGIN - GAP, ...boxes.map((box) => box.bottom));
  const last = controls.at(-1);
  const beside = last && last.heardAs.length > 0 ? shapeBox(last.shape) : null;
  const rowEnd = Math.max(width, 6 * (SIZE + GAP) + 2 * MARGIN);
  const fits = beside !== null && beside.right + GAP + SIZE + MARGIN <= rowEnd;
  const [x, y] = fits && beside ? [beside.right + GAP, beside.top] : [MARGIN, bottom + GAP];
  return { kind: 'rect', x, y, width: SIZE, height: SIZE, radius: 4 } as const;
}

/** A device whose control is heard as something; nothing else of it is heard so any more. */
export function heardAsControl(device: Device, control: string, id: string): Device {
  return {
    ...device,
    controls: device.controls.map((each) => {
      const others = each.heardAs.filter((own) => own !== id);
      if (each.id === control) return { ...each, heardAs: [...others, id].slice(-MOST_HEARD) };
      return others.length === each.heardAs.length ? each : { ...each, heardAs: others };
    }),
  };
}
