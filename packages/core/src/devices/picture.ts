import { z } from 'zod';
import { because } from './valueProblem.ts';

/** How large a picture may be that is taken in, as a file: bytes. */
export const MOST_PICTURE_BYTES = 2_000_000;
/** Where a picture is seen. */
export const PICTURE_USES = ['face', 'page'] as const;
/** Where a picture is seen. */
export type PictureUse = (typeof PICTURE_USES)[number];
/**
 * The longer side of a picture as it is kept, by where it is seen: pixels. A key of 40 mm has as many on the sharpest
 * screens, and so has a tablet of 13 inches.
 */
export const PICTURE_SIDES = { face: 1024, page: 2732 } as const satisfies Record<PictureUse, number>;
/** How much closer a picture may be looked at than where it fills a face. */
export const MOST_ZOOM = 4;

/** A picture by its content: SHA-256 (FIPS 180-4) of the bytes that are kept, in hexadecimal digits. */
export const pictureIdSchema = z.string().regex(/^[0-9a-f]{64}$/, because('picture'));

/** A picture that is kept: how a face names it, and its size in pixels. */
export const pictureSchema = z.strictObject({
  id: pictureIdSchema,
  width: z.int().min(1).max(PICTURE_SIDES.page),
  height: z.int().min(1).max(PICTURE_SIDES.page),
});

/** How a picture lies on a face: it fills it and is cut, or is seen whole. */
export const PICTURE_FITS = ['fill', 'whole'] as const;

/** A fraction of a length. */
const part = z.number().min(0).max(1);

/** A picture on a face, and which part of it is seen. */
export const facePictureSchema = z.strictObject({
  id: pictureIdSchema,
  fit: z.enum(PICTURE_FITS),
  /** How much closer than that. */
  zoom: z.number().min(1).max(MOST_ZOOM),
  /** The place in the picture that lies at the same place of the face, in parts of width and height. */
  x: part,
  y: part,
});
/** A picture on a face. */
export type FacePicture = z.infer<typeof facePictureSchema>;

/** A picture as it lies on a face at first: filling it, from the middle. */
export function pictureOnFace(id: string): FacePicture {
  return { id, fit: 'fill', zoom: 1, x: 0.5, y: 0.5 };
}
