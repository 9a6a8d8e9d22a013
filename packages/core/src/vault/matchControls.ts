import { type Control, type Device, shapeBox } from '../devices/index.ts';

/** What of a device matters for what could take its place. */
export interface WithControls extends Pick<Device, 'id' | 'model'> {
  readonly controls: readonly Pick<Control, 'id' | 'kind' | 'shape' | 'cell'>[];
}
type Placed = WithControls['controls'][number];

/**
 * Proposes one of `own`'s controls for each of a device's, each once; null for none. On one of the same make those of
 * the same id; else by kind: those in the same row and column, and then what is left, as it lies.
 */
export function matchControls(
  device: WithControls,
  own: WithControls,
): Readonly<Record<string, string | null>> {
  const found = new Map<string, string>();
  const left = new Set(own.controls);
  const meet = (by: (of: WithControls) => ReadonlyMap<Placed, string>) => {
    const there = new Map([...by(own)].map(([control, key]) => [key, control]));
    for (const [control, key] of by(device)) {
      const same = there.get(key);
      if (!same || !left.has(same) || found.has(control.id)) continue;
      left.delete(same);
      found.set(control.id, same.id);
    }
  };
  if (isSameMake(device, own)) meet(byId);
  meet(byPlace);
  for (const control of device.controls) {
    if (found.has(control.id)) continue;
    const next = [...left].find(({ kind }) => kind === control.kind);
    if (!next) continue;
    left.delete(next);
    found.set(control.id, next.id);
  }
  return Object.fromEntries(device.controls.map(({ id }) => [id, found.get(id) ?? null]));
}

const isSameMake = (device: WithControls, own: WithControls): boolean =>
  device.model === null && own.model === null ? device.id === own.id : device.model === own.model;

const byId = ({ controls }: WithControls): ReadonlyMap<Placed, string> =>
  new Map(controls.map((control) => [control, `${control.kind} ${control.id}`]));

/** Row and column among those of its kind and page, counted from the top left. */
function byPlace({ controls }: WithControls): ReadonlyMap<Placed, string> {
  const pages = [...new Set(controls.flatMap(({ cell }) => cell?.page ?? []))];
  const groupOf = ({ kind, cell }: Placed) => `${kind} ${cell?.page ? pages.indexOf(cell.page) : 'all'}`;
  const groups = [...new Set(controls.map(groupOf))];
  return new Map(
    groups.flatMap((group) =>
      rowsOf(controls.filter((control) => groupOf(control) === group)).flatMap((row, y) =>
        row.map((control, x) => [control, `${group} ${y} ${x}`] as const),
      ),
    ),
  );
}

/** In rows from above, each from the left. A row goes on as long as the next begins above the middle of its first. */
function rowsOf(controls: readonly Placed[]): readonly (readonly Placed[])[] {
  const boxes = controls.map((control) => ({ control, box: shapeBox(control.shape) }));
  const rows: (typeof boxes)[] = [];
  for (const each of boxes.toSorted((a, b) => a.box.top - b.box.top)) {
    const row = rows.at(-1);
    const [first] = row ?? [];
    if (row && first && each.box.top < (first.box.top + first.box.bottom) / 2) row.push(each);
    else rows.push([each]);
  }
  return rows.map((row) => row.toSorted((a, b) => a.box.left - b.box.left).map(({ control }) => control));
}
