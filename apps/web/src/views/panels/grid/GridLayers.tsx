import { type Control, cellShape, dividePanel, shapeBox } from '@nimble-lever/core/devices';
import type { PanelPage } from '@nimble-lever/core/panels';
import { PanelBackground } from '../../../pieces/PanelBackground.tsx';
import { ShapeMark } from '../../../pieces/ShapeMark.tsx';
import type { PageFace } from '../pageFaces.ts';
import type { Dragging } from './useGridHands.ts';

/** Of the panel: millimetres. */
const CORNER = 0.7;
const LETTERS = 4;

/** Under the cells: the page's picture, and the corners of the grid's fields. */
export function GridUnder({ device, page, grid }: PanelPage) {
  const { width, height, panel } = device;
  const { margin, across, down } = dividePanel(device, grid);
  const corners = Array.from({ length: (grid.columns + 1) * (grid.rows + 1) }, (_, i) => {
    const [column, row] = [i % (grid.columns + 1), Math.floor(i / (grid.columns + 1))];
    return { x: margin + column * across, y: margin + row * down, key: `${column} ${row}` };
  });
  return (
    <>
      <PanelBackground
        width={width}
        height={height}
        picture={(page ? page.picture : panel?.picture) ?? null}
      />
      {corners.map(({ x, y, key }) => (
        <path
          key={key}
          className="corner"
          d={`M${x - CORNER} ${y}H${x + CORNER}M${x} ${y - CORNER}V${y + CORNER}`}
        />
      ))}
    </>
  );
}

/** Over the cells: what is selected, and what a drag would do. */
export function GridOver({
  panel,
  selected,
  faces,
  dragging,
}: {
  readonly panel: PanelPage;
  readonly selected: readonly string[];
  readonly faces: ReadonlyMap<string, PageFace>;
  readonly dragging: Dragging | null;
}) {
  const { device, grid } = panel;
  const chosen = device.controls.filter(({ id }) => selected.includes(id));
  const [only, ...others] = chosen;
  return (
    <>
      {device.controls.map((control) =>
        control.cell?.seeThrough ? (
          <Through key={control.id} control={control} label={faces.get(control.id)?.face?.label} />
        ) : null,
      )}
      {chosen.map(({ id, shape }) => (
        <ShapeMark key={id} shape={shape} className="chosen" reach={0.8} />
      ))}
      {only && others.length === 0 && !dragging && only.shape.kind === 'rect' && <Handles {...only.shape} />}
      {dragging?.page === undefined &&
        [...(dragging?.placing?.areas ?? [])].map(([id, area]) => (
          <ShapeMark
            key={id}
            shape={cellShape(device, grid, area)}
            className={dragging?.placing?.fits ? 'ghost' : 'ghost wrong'}
          />
        ))}
    </>
  );
}

/** A cell that is not seen in use: its outline here, and in its corner what it does. */
function Through({ control, label }: { readonly control: Control; readonly label: string | undefined }) {
  const { shape, name } = control;
  const { left, top } = shapeBox(shape);
  return (
    <>
      <ShapeMark shape={shape} className="through" />
      <text className="what" x={left + LETTERS / 2} y={top + LETTERS * 1.4} fontSize={LETTERS}>
        {label ?? name}
      </text>
    </>
  );
}

/** On the edges of the one selected cell: what is dragged to span it. */
function Handles({ x, y, width, height }: { x: number; y: number; width: number; height: number }) {
  const size = Math.min(3, width / 4, height / 4);
  const places = [
    [x + width / 2, y],
    [x + width / 2, y + height],
    [x, y + height / 2],
    [x + width, y + height / 2],
  ] as const;
  return places.map(([left, top]) => (
    <rect
      key={`${left} ${top}`}
      className="handle"
      x={left - size / 2}
      y={top - size / 2}
      width={size}
      height={size}
      rx={size / 4}
    />
  ));
}
