import { type Device, deviceOf } from './device.ts';
import type { CellArea } from './panel/cell.ts';
import { type CellKind, newCell } from './panel/newCell.ts';

const SIZE = { width: 248, height: 142 };
const GRID = { columns: 6, rows: 3 };

/** A touch panel with twelve cells and two faders, to begin with. */
export function wallPanel(id: string, name = 'Wall panel'): Device {
  const cell = (kind: CellKind, own: string, called: string, area: CellArea) =>
    newCell({ id: own, name: called, kind }, SIZE, GRID, { page: null, area });
  return deviceOf({
    id,
    name,
    kind: 'touch-panel',
    ...SIZE,
    body: [{ kind: 'rect', x: 0.5, y: 0.5, width: SIZE.width - 1, height: SIZE.height - 1, radius: 6 }],
    controls: [
      ...Array.from({ length: 12 }, (_, i) =>
        cell('button', `cell-${i + 1}`, `Cell ${i + 1}`, {
          column: i % 4,
          row: Math.floor(i / 4),
          columns: 1,
          rows: 1,
        }),
      ),
      ...[0, 1].map((i) =>
        cell('fader', `fader-${i + 1}`, `Fader ${i + 1}`, { column: 4 + i, row: 0, columns: 1, rows: 3 }),
      ),
    ],
    panel: { grid: GRID, picture: null, distance: 600 },
  });
}
