import fc from 'fast-check';
import { CATALOGUE, shapeBox } from '../devices/index.ts';
import { cross, type LabelledPoint, placeLabels } from './labelPlaces.ts';

const WIDTH = 500;
const HEIGHT = 400;
const LABEL = 24;
/** Higher where few share a side. */
const HEIGHTS = { least: LABEL, among: (ids: readonly string[]) => Math.min(60, HEIGHT / ids.length) };

function checkPlaces(points: readonly LabelledPoint[], sides: 'both' | 'right' = 'both'): void {
  const places = placeLabels(points, WIDTH, HEIGHT, HEIGHTS, sides);
  if (sides === 'right') expect(places.every(({ side }) => side === 'right')).toBe(true);
  expect(places.map(({ id }) => id).toSorted()).toEqual(points.map(({ id }) => id).toSorted());
  const found = places.map((place) => ({
    ...place,
    point: points.find(({ id }) => id === place.id) as LabelledPoint,
    edge: place.side === 'left' ? 0 : WIDTH,
  }));
  found.forEach((a, i) => {
    for (const b of found.slice(i + 1)) {
      if (a.side !== b.side) continue;
      const own = places.filter(({ side }) => side === a.side).map(({ id }) => id);
      expect(Math.abs(a.y - b.y)).toBeGreaterThanOrEqual(HEIGHTS.among(own) - 1e-9);
      expect(cross(a.point, a.y, b.point, b.y, a.edge)).toBe(false);
    }
  });
}

const coordinate = (most: number) => fc.integer({ min: 0, max: most });
const arbitraryPoints = fc
  .uniqueArray(fc.record({ x: coordinate(WIDTH), y: coordinate(HEIGHT) }), {
    maxLength: 2 * Math.floor(HEIGHT / LABEL),
    selector: ({ x, y }) => `${x} ${y}`,
  })
  .map((points) => points.map((point, i): LabelledPoint => ({ id: `p${i}`, ...point })));

test('no two lines to labels on a side cross, and labels do not overlap', () => {
  fc.assert(fc.property(arbitraryPoints, (points) => checkPlaces(points)));
  fc.assert(
    fc.property(arbitraryPoints, (points) =>
      checkPlaces(points.slice(0, Math.floor(HEIGHT / LABEL)), 'right'),
    ),
  );
});

test('so it is for every device of the catalogue', () => {
  for (const { controls, width, height } of CATALOGUE) {
    checkPlaces(
      controls.map(({ id, shape }) => {
        const { left, right, top, bottom } = shapeBox(shape);
        return { id, x: ((left + right) / 2 / width) * WIDTH, y: ((top + bottom) / 2 / height) * HEIGHT };
      }),
    );
  }
});

test.each([
  [{ kind: 'rect', x: 1, y: 2, width: 3, height: 4, radius: 0 }, [1, 2, 4, 6]],
  [{ kind: 'circle', cx: 5, cy: 5, r: 2 }, [3, 3, 7, 7]],
  [{ kind: 'path', d: 'M40 1 A30 30 0 0 0 10 31 V46 H40 Z' }, [10, 1, 40, 46]],
] as const)('the box round %j is %j', (shape, [left, top, right, bottom]) => {
  expect(shapeBox(shape)).toEqual({ left, top, right, bottom });
});
