import fc from 'fast-check';
import { leastCapitals } from '../drawing/index.ts';
import { contrastOver, contrastRatio, drawnPicture, neededContrast, type Rgb } from './contrast.ts';

const WHITE: Rgb = [255, 255, 255];
const BLACK: Rgb = [0, 0, 0];

// WCAG 2.2, 1.4.3 and its understanding document: #767676 is the lightest grey with 4.5 : 1 on white, #949494 with 3 : 1;
// the formula gives 21 : 1 for black on white. The others are worked out by the definition of relative luminance.
test.each<[Rgb, Rgb, number]>([
  [BLACK, WHITE, 21],
  [WHITE, WHITE, 1],
  [[118, 118, 118], WHITE, 4.54],
  [[119, 119, 119], WHITE, 4.48],
  [[148, 148, 148], WHITE, 3.03],
  [[255, 0, 0], WHITE, 4.0],
  [[0, 0, 255], WHITE, 8.59],
])('%j on %j has a contrast of %f', (a, b, ratio) => {
  expect(contrastRatio(a, b)).toBeCloseTo(ratio, 2);
  expect(contrastRatio(b, a)).toBe(contrastRatio(a, b));
});

const pixels = (...colours: readonly (readonly [number, number, number, number])[]) => colours.flat();

test('words are as good as on all but the worst twentieth of what lies under them', () => {
  const ground = Array.from({ length: 96 }, () => [255, 255, 255, 255] as const);
  const line = (count: number) => Array.from({ length: count }, () => [0, 0, 0, 255] as const);
  expect(contrastOver(pixels(...ground, ...line(4)), WHITE, BLACK)).toBeCloseTo(21);
  expect(contrastOver(pixels(...ground, ...line(12)), WHITE, BLACK)).toBeCloseTo(1);
  expect(contrastOver([], WHITE, BLACK)).toBe(21);
});

test('where the picture lets it, what is under it shows', () => {
  expect(contrastOver(pixels([0, 0, 0, 0]), WHITE, BLACK)).toBeCloseTo(21);
  expect(contrastOver(pixels([0, 0, 0, 255]), WHITE, BLACK)).toBeCloseTo(1);
  expect(contrastOver(pixels([0, 0, 0, 128]), WHITE, BLACK)).toBeCloseTo(
    contrastRatio([127, 127, 127], BLACK),
    1,
  );
});

test('letters of 14 points, bold, as they are at arm’s length, need 3 : 1; smaller ones 4.5 : 1', () => {
  // 28 inches, for which CSS says how large a pixel looks; capitals of 14 points in our font.
  const arm = 28 * 25.4;
  const capitals = (14 / 72) * 25.4 * 0.668;
  expect(neededContrast(capitals * 1.03, arm)).toBe(3);
  expect(neededContrast(capitals * 0.97, arm)).toBe(4.5);
  // Twice as far away they must be twice as high.
  expect(neededContrast(capitals * 1.03, arm * 2)).toBe(4.5);
  expect(neededContrast(capitals * 2.06, arm * 2)).toBe(3);
  expect(neededContrast(leastCapitals(600) * 1.1, 600)).toBe(3);
});

const PANEL = { width: 200, height: 100 };
const lying = { id: 'a'.repeat(64), zoom: 1, x: 0.5, y: 0.5 };

test.each([
  [
    'fills a wider panel: cut above and below',
    { ...lying, fit: 'fill' },
    { width: 10, height: 10 },
    [0, -50, 200, 200],
  ],
  [
    'whole in a wider panel: room left and right',
    { ...lying, fit: 'whole' },
    { width: 10, height: 10 },
    [50, 0, 100, 100],
  ],
  ['at its left', { ...lying, fit: 'whole', x: 0 }, { width: 10, height: 10 }, [0, 0, 100, 100]],
  [
    'closer: the place stays',
    { ...lying, fit: 'fill', zoom: 2 },
    { width: 20, height: 10 },
    [-100, -50, 400, 200],
  ],
  [
    'closer at a corner',
    { ...lying, fit: 'fill', zoom: 2, x: 1, y: 1 },
    { width: 20, height: 10 },
    [-200, -100, 400, 200],
  ],
] as const)('%s', (_name, picture, image, [x, y, width, height]) => {
  expect(drawnPicture(PANEL, image, picture)).toEqual([{ x, y, width, height }]);
});

test('tiles begin at the corner and cover the panel', () => {
  const tiles = drawnPicture(PANEL, { width: 4, height: 3 }, { ...lying, fit: 'tile', zoom: 4 });
  expect(tiles[0]).toEqual({ x: 0, y: 0, width: 50, height: 37.5 });
  expect(tiles).toHaveLength(4 * 3);
});

test('a picture that fills leaves nothing uncovered, wherever it lies', () => {
  const side = fc.integer({ min: 1, max: 3000 });
  const part = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(side, side, part, part, fc.double({ min: 1, max: 8, noNaN: true }), (w, h, x, y, zoom) => {
      const [at] = drawnPicture(PANEL, { width: w, height: h }, { ...lying, fit: 'fill', x, y, zoom });
      if (!at) throw new Error('It is drawn.');
      expect(at.x).toBeLessThan(1e-6);
      expect(at.y).toBeLessThan(1e-6);
      expect(at.x + at.width).toBeGreaterThan(200 - 1e-6);
      expect(at.y + at.height).toBeGreaterThan(100 - 1e-6);
    }),
  );
});
