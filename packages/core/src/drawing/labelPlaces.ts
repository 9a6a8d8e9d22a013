/** A point that is labelled, in any unit; y downwards. */
export interface LabelledPoint {
  readonly id: string;
  /** Pixels from the top left corner of the room. */
  readonly x: number;
  readonly y: number;
}

/** Where a label stands: at the left or the right edge, with its middle at `y`. */
export interface LabelPlace {
  readonly id: string;
  readonly side: 'left' | 'right';
  /** Of the label's middle: pixels. */
  readonly y: number;
}

/** How high a label is with its gap: at least, and where those with the given ids share a side. */
export interface LabelHeight {
  /** Pixels: never less, however many there are. */
  readonly least: number;
  /** Pixels each of these would like. */
  readonly among: (ids: readonly string[]) => number;
}

/**
 * Places labels, of one height at each side, beside a drawing so that no two straight lines from labels to points cross.
 * Each side takes the points of its half; there, as long as two lines cross, their labels change places. That makes
 * the lines shorter together (triangle inequality), so it ends.
 *
 * @param width of the drawing: labels end at 0 and `width`
 * @param height within which labels are stacked
 * @param label may say no more height than there is for as many
 * @param sides `right`: all of them at the right edge
 */
export function placeLabels(
  points: readonly LabelledPoint[],
  width: number,
  height: number,
  label: LabelHeight,
  sides: 'both' | 'right' = 'both',
): readonly LabelPlace[] {
  const sorted = points.toSorted((a, b) => a.x - b.x || a.y - b.y);
  const most = Math.max(1, Math.floor(height / label.least));
  // The halves meet where there is room on both sides.
  const own = sorted.filter(({ x }) => x < width / 2).length;
  const left = sides === 'right' ? 0 : Math.max(sorted.length - most, Math.min(own, most));
  return [
    ...placeSide(sorted.slice(0, left), 'left', 0, height, label),
    ...placeSide(sorted.slice(left), 'right', width, height, label),
  ];
}

/** Uncrosses the lines of one side. */
function placeSide(
  points: readonly LabelledPoint[],
  side: LabelPlace['side'],
  edge: number,
  height: number,
  label: LabelHeight,
): readonly LabelPlace[] {
  const order = points.toSorted((a, b) => a.y - b.y);
  const ys = stack(
    order.map(({ y }) => y),
    height,
    label.among(order.map(({ id }) => id)),
  );
  for (let crossed = true; crossed; ) {
    crossed = false;
    for (let i = 0; i < order.length; i++) {
      for (let j = i + 1; j < order.length; j++) {
        const [a, b] = [order[i], order[j]];
        if (!a || !b || !cross(a, ys[i] ?? 0, b, ys[j] ?? 0, edge)) continue;
        order[i] = b;
        order[j] = a;
        crossed = true;
      }
    }
  }
  return order.map(({ id }, i) => ({ id, side, y: ys[i] ?? 0 }));
}

/**
 * Rising places at least a label apart inside the height, as near to where they are wanted as can be by the sum of
 * squares: labels that would overlap form a block about the middle of their wishes (pooling adjacent violators, Ayer,
 * Brunk, Ewing, Reid and Silverman 1955).
 */
function stack(wanted: readonly number[], height: number, label: number): readonly number[] {
  const blocks: { sum: number; count: number }[] = [];
  const mean = (block: { sum: number; count: number } | undefined) =>
    block ? block.sum / block.count : -Infinity;
  wanted.forEach((y, i) => {
    let block = { sum: y - i * label, count: 1 };
    while (mean(blocks.at(-1)) > mean(block)) {
      const { sum, count } = blocks.pop() ?? { sum: 0, count: 0 };
      block = { sum: block.sum + sum, count: block.count + count };
    }
    blocks.push(block);
  });
  const [least, most] = [label / 2, height - label * (wanted.length - 0.5)];
  const firsts = blocks.flatMap((block) => Array<number>(block.count).fill(mean(block)));
  return firsts.map((first, i) => Math.max(least, Math.min(first, most)) + i * label);
}

/** Whether the lines from two points to their labels at an edge cross in between. */
export function cross(a: LabelledPoint, aY: number, b: LabelledPoint, bY: number, edge: number): boolean {
  const side = (px: number, py: number, qx: number, qy: number, rx: number, ry: number) =>
    Math.sign((qx - px) * (ry - py) - (qy - py) * (rx - px));
  const one = side(a.x, a.y, edge, aY, b.x, b.y) * side(a.x, a.y, edge, aY, edge, bY);
  const two = side(b.x, b.y, edge, bY, a.x, a.y) * side(b.x, b.y, edge, bY, edge, aY);
  return one < 0 && two < 0;
}
