import { createHash } from 'node:crypto';
import fc from 'fast-check';
import sharp from 'sharp';
import { Problem } from '../problem/problem.ts';
import { pictureKind } from './pictureKind.ts';
import { preparePicture } from './preparePicture.ts';

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#3366cc' } });
const svg = (inside: string, head = 'width="40" height="20"') =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`);

test.each([
  ['PNG', () => plain(30, 20).png().toBuffer(), 30, 20],
  ['JPEG', () => plain(30, 20).jpeg().toBuffer(), 30, 20],
  ['WebP', () => plain(30, 20).webp().toBuffer(), 30, 20],
  ['larger than is kept', () => plain(3000, 1500).png().toBuffer(), 1024, 512],
  // EXIF 2.32, 4.6.4: orientation 6 is a quarter turn to the right.
  [
    'a camera that was held upright',
    () => plain(30, 20).withMetadata({ orientation: 6 }).jpeg().toBuffer(),
    20,
    30,
  ],
  [
    'a drawing, at the size that is kept',
    async () => svg('<rect width="40" height="20" fill="red"/>'),
    1024,
    512,
  ],
  [
    'a drawing with a preamble',
    async () => Buffer.from(`\ufeff<?xml version="1.0"?>\n<!-- a > b -->\n<!DOCTYPE svg>${svg('')}`),
    1024,
    512,
  ],
  // A4 in millimetres, as drawing programs say it (CSS Values 4, 6.2: 1mm = 96px/25.4).
  [
    'a drawing in millimetres',
    async () => svg('', 'width="210mm" height="297mm" viewBox="0 0 210 297"'),
    724,
    1024,
  ],
  ['a drawing of millimetres so small', async () => svg('', 'width="4mm" height="2mm"'), 1024, 512],
  ['a huge drawing', async () => svg('', 'width="100000" height="50000"'), 1024, 512],
])('%s is kept as WebP by its content', async (_name, make, width, height) => {
  const kept = await preparePicture(await make());
  const found = await sharp(kept.bytes).metadata();
  expect(found).toMatchObject({ format: 'webp', width: kept.width, height: kept.height });
  // A drawing's size is in dots an inch, which come to whole pixels only nearly.
  expect(Math.abs(kept.width - width)).toBeLessThanOrEqual(1);
  expect(Math.abs(kept.height - height)).toBeLessThanOrEqual(1);
  expect(kept.id).toBe(createHash('sha256').update(kept.bytes).digest('hex'));
});

test('the same picture is the same picture, and says nothing of where it was taken', async () => {
  const given = await plain(20, 20)
    .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 30/1 0/1' } })
    .jpeg()
    .toBuffer();
  const [one, other] = [await preparePicture(given), await preparePicture(given)];
  expect(one.id).toBe(other.id);
  expect((await sharp(one.bytes).metadata()).exif).toBeUndefined();
});

const refusal = (given: Uint8Array) =>
  preparePicture(given).then(
    () => null,
    (error: unknown) => error,
  );

test.each([
  ['nothing', async () => Buffer.alloc(0), 'The file is empty'],
  ['text', async () => Buffer.from('not a picture at all'), 'not a picture, whatever its name says'],
  ['a page', async () => Buffer.from('<!doctype html><html><svg></svg></html>'), 'not a picture'],
  ['another kind of picture', () => plain(3, 3).gif().toBuffer(), 'PNG, JPEG, WebP and SVG are taken'],
  [
    'only the beginning of one',
    async () => Buffer.from('\x89PNG\r\n\x1a\nand then something else', 'latin1'),
    'damaged',
  ],
  ['a picture that was cut off', async () => (await noise()).subarray(0, 4000), 'damaged or cut off'],
  ['a drawing that does not end', async () => svg('').subarray(0, 60), 'damaged'],
  ['a picture of too many pixels', () => plain(8000, 7000).png().toBuffer(), 'more than 50 million pixels'],
])('%s is refused in words', async (_name, make, words) => {
  const problem = await refusal(await make());
  expect(problem).toBeInstanceOf(Problem);
  expect((problem as Problem).detail).toContain(words);
  expect((problem as Problem).detail).toContain('Nothing was changed.');
});

/** A JPEG that does not shrink to nothing. */
function noise() {
  return sharp({
    create: {
      width: 120,
      height: 120,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
    },
  })
    .jpeg()
    .toBuffer();
}

test('a drawing reads no other file and asks for no address', async () => {
  const inside = [
    '<image href="file:///etc/passwd" width="9" height="9"/>',
    '<image href="http://127.0.0.1:9/x.png" width="9" height="9"/>',
    '<script>alert(1)</script>',
  ].join('');
  const [with_, without] = [await preparePicture(svg(inside)), await preparePicture(svg(''))];
  expect(with_.id).toBe(without.id);
});

const uses = (levels: number, times: number) =>
  `${Array.from(
    { length: levels },
    (_, i) => `<g id="g${i}">${`<use href="#g${i + 1}"/>`.repeat(times)}</g>`,
  ).join('')}<rect id="g${levels}" width="1" height="1"/>`;
const chain = (levels: number) => uses(levels, 1);

test.each([
  ['noise', '<filter id="f"><feTurbulence numOctaves="9999" baseFrequency="0.9"/></filter>', 'filters'],
  ['under a prefix', '<x:filter xmlns:x="http://www.w3.org/2000/svg"/>', 'filters'],
  ['by its style', '<rect style="fill: red; filter: blur(999px)" width="9" height="9"/>', 'filters'],
  ['by a style sheet', '<style>rect{filter:drop-shadow(9px 9px 9px red)}</style>', 'filters'],
  ['a page', '<foreignObject width="9" height="9"><p>Hi</p></foreignObject>', 'no drawing'],
  [
    'a drawing in it',
    '<image href="data:image/svg+xml;base64,PHN2Zy8+" width="9" height="9"/>',
    'no drawing',
  ],
  ['parts that double', uses(24, 2), 'repeats its parts'],
  ['parts that name parts without end', chain(4000), 'repeats its parts'],
  [
    'patterns of patterns',
    `<pattern id="g20" width="1" height="1"/>${Array.from({ length: 20 }, (_, i) => `<pattern id="g${i}">${`<rect fill="url(#g${i + 1})"/>`.repeat(3)}</pattern>`).join('')}<rect fill="url(#g0)"/>`,
    'repeats its parts',
  ],
  ['itself', '<g id="a"><use href="#a"/></g>', 'made of itself'],
  ['parts within parts', '<g>'.repeat(5000) + '</g>'.repeat(5000), 'repeats its parts'],
])('a drawing of %s is refused before it is drawn', async (_name, inside, words) => {
  expect(((await refusal(svg(inside))) as Problem).detail).toContain(words);
});

test('what drawing programs write is taken: namespaces as entities, references, symbols, pictures in it', async () => {
  const inside = [
    '<defs><linearGradient id="a"/><symbol id="s"><rect width="3" height="3" fill="url(#a)"/></symbol></defs>',
    '<use href="#s"/><use href="#s" x="4"/><rect style="filter:none" width="9" height="9"/>',
    '<image href="data:image/png;base64,iVBORw0KGgo=" width="9" height="9"/>',
  ].join('');
  const head =
    '<?xml version="1.0" encoding="utf-8"?><!DOCTYPE svg [<!ENTITY ns_svg "http://www.w3.org/2000/svg">]>';
  const drawing = Buffer.from(`${head}<svg xmlns="&ns_svg;" width="40" height="20">${inside}</svg>`);
  expect(await refusal(drawing)).toBeNull();
});

test('entities that grow without an end do not', async () => {
  const levels = Array.from(
    { length: 30 },
    (_, i) => `<!ENTITY a${i + 1} "&a${i};&a${i};&a${i};&a${i};">`,
  ).join('');
  const bomb = `<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a0 "x">${levels}]><svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><text>&a30;</text></svg>`;
  const done = await refusal(Buffer.from(bomb));
  expect(done === null || done instanceof Problem).toBe(true);
});

test('whatever is sent, it is kept or refused in words', async () => {
  const whole = await noise();
  await fc.assert(
    fc.asyncProperty(fc.nat(whole.length - 1), fc.uint8Array({ maxLength: 12 }), async (at, bytes) => {
      const given = new Uint8Array(whole);
      given.set(bytes.subarray(0, given.length - at), at);
      const done = await refusal(given);
      expect(done === null || done instanceof Problem).toBe(true);
    }),
    { numRuns: 60 },
  );
  fc.assert(fc.property(fc.uint8Array({ maxLength: 40 }), (bytes) => void pictureKind(bytes)));
});
