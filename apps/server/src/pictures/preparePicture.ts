import { createHash } from 'node:crypto';
import { PICTURE_SIDES, type PictureUse } from '@nimble-lever/core/devices';
import sharp, { type Sharp } from 'sharp';
import type { KeptPicture } from '../store/pictureStore.ts';
import { drawingProblem } from './checkDrawing.ts';
import { pictureKind } from './pictureKind.ts';
import { DAMAGED, DRAWING_WORDS, NOT_A_PICTURE, OTHER, refusedPicture, TOO_MUCH } from './pictureWords.ts';

/** More pixels than any camera whose picture fits the size that is taken; a smaller file may claim to have more. */
const MOST_PIXELS = 50_000_000;
/** A picture may be so made that it takes for ever: seconds. The process it is read in is ended a little later. */
const LONGEST = 10;
/** The densities a drawing may be drawn at: dots an inch. */
const DENSITY = { usual: 72, least: 1, most: 20_000 };

// Only what is asked for is read, by the library too; and one picture at a time, so that several do not fill the memory.
sharp.block({ operation: ['VipsForeignLoad'] });
sharp.unblock({
  operation: ['Png', 'Jpeg', 'Webp', 'Svg'].map((kind) => `VipsForeignLoad${kind}Buffer`),
});
sharp.cache(false);
sharp.concurrency(1);

/**
 * Makes of a file what is kept of it: its first picture, upright, in sRGB, no larger than it is shown, as WebP. A drawing
 * becomes pixels, so that nothing in it is ever read by a browser; what a camera noted of place and time is left out.
 * Throws a `Problem` where it is no picture.
 */
export async function preparePicture(given: Uint8Array, use: PictureUse = 'face'): Promise<KeptPicture> {
  const side = PICTURE_SIDES[use];
  const kind = pictureKind(given);
  if (kind === null) throw refusedPicture(given.length === 0 ? 'The file is empty.' : NOT_A_PICTURE);
  const wrong = kind === 'svg' ? drawingProblem(given) : null;
  if (wrong) throw refusedPicture(DRAWING_WORDS[wrong]);
  const density = kind === 'svg' ? await drawingDensity(given, side) : DENSITY.usual;
  const made = await decoded(
    read(given, density)
      .autoOrient()
      .toColourspace('srgb')
      .resize({ width: side, height: side, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 90, smartSubsample: true })
      .timeout({ seconds: LONGEST })
      .toBuffer({ resolveWithObject: true }),
  );
  const bytes = new Uint8Array(made.data);
  const id = createHash('sha256').update(bytes).digest('hex');
  return { id, width: made.info.width, height: made.info.height, bytes };
}

/**
 * A picture as it was made ready once, by its id. Throws a `Problem` where it is another one, no WebP file, or larger than
 * any that is kept.
 */
export async function checkedPicture(id: string, given: Uint8Array): Promise<KeptPicture> {
  const isOwn = createHash('sha256').update(given).digest('hex') === id;
  if (!isOwn || pictureKind(given) !== 'webp') throw refusedPicture(OTHER);
  const { info } = await decoded(
    read(given, DENSITY.usual).timeout({ seconds: LONGEST }).raw().toBuffer({ resolveWithObject: true }),
  );
  if (Math.max(info.width, info.height) > Math.max(...Object.values(PICTURE_SIDES)))
    throw refusedPicture(OTHER);
  return { id, width: info.width, height: info.height, bytes: given };
}

function read(given: Uint8Array, density: number): Sharp {
  return sharp(given, { limitInputPixels: MOST_PIXELS, failOn: 'error', density });
}

/** So dense that a drawing's longer side comes to the pixels that are kept. */
async function drawingDensity(given: Uint8Array, side: number): Promise<number> {
  const fits = (value: number) => Math.min(DENSITY.most, Math.max(DENSITY.least, value));
  const usual = await drawnSide(given, DENSITY.usual);
  const wanted = side / usual;
  const first = fits(DENSITY.usual * wanted);
  const reached = (await drawnSide(given, first)) / usual;
  // One whose size is said in millimetres grows by the density twice over: as a unit, and as it is drawn.
  const grows = reached === 1 ? 1 : Math.log(reached) / Math.log(first / DENSITY.usual);
  return fits(DENSITY.usual * wanted ** (1 / Math.max(1, grows)));
}

/** The longer side of a drawing at a density: pixels. Only its size is read, nothing is drawn. */
async function drawnSide(given: Uint8Array, density: number): Promise<number> {
  const { width, height } = await decoded(sharp(given, { limitInputPixels: false, density }).metadata());
  return Math.max(width, height, 1);
}

/** What the library says of a file that it cannot read is told in our words. */
async function decoded<Value>(work: Promise<Value>): Promise<Value> {
  try {
    return await work;
  } catch (error) {
    const said = error instanceof Error ? error.message : '';
    if (/pixel limit|dimensions/i.test(said)) throw refusedPicture(TOO_MANY_PIXELS);
    throw refusedPicture(/timeout/i.test(said) ? TOO_MUCH.time : DAMAGED);
  }
}

const TOO_MANY_PIXELS = `The picture has more than ${MOST_PIXELS / 1_000_000} million pixels. Make it smaller and choose it again.`;
