import { deviceOf, SCREENS, sizeOfScreen } from '../devices/index.ts';
import { itemAt, type Setup, type SingleEdit } from '../setup/index.ts';
import type { IdFor } from './cellEdits.ts';

/** A panel begins as large as this screen, divided so. */
const SCREEN = 'tablet-10';
const GRID = { columns: 6, rows: 4 };

/** Adds a panel without cells after all other devices; gives its id. */
export function newPanel(
  { devices }: Pick<Setup, 'devices'>,
  word: string,
  idFor: IdFor,
): { readonly id: string; readonly edit: SingleEdit } {
  const names = new Set(devices.map(({ name }) => name));
  let name = word;
  for (let i = 2; names.has(name); i++) name = `${word} ${i}`;
  const id = idFor(name);
  const { width, height } = sizeOfScreen(SCREENS[SCREEN]);
  const item = deviceOf({
    id,
    name,
    kind: 'touch-panel',
    width,
    height,
    body: panelBody(width, height),
    controls: [],
    panel: { grid: GRID, picture: null, distance: 600 },
  });
  return { id, edit: { kind: 'add', at: itemAt.device(id), item, after: devices.at(-1)?.id ?? null } };
}

/** The edge of a panel, with round corners: millimetres. */
export function panelBody(width: number, height: number) {
  return [{ kind: 'rect' as const, x: 0.5, y: 0.5, width: width - 1, height: height - 1, radius: 6 }];
}
