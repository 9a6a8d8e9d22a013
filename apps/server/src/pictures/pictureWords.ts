import { Problem } from '../problem/problem.ts';
import type { DrawingProblem } from './checkDrawing.ts';

/** RFC 9110, 15.5.21: it is understood, and cannot be used. */
export function refusedPicture(why: string): Problem {
  return new Problem(422, 'Not a picture that can be used', `${why} Nothing was changed.`);
}

export const NOT_A_PICTURE =
  'This is not a picture, whatever its name says. PNG, JPEG, WebP and SVG are taken; save it as one of them.';
export const OTHER =
  'A picture of the file is not the one that its id says, or not made as those in files are.';
export const DAMAGED =
  'The picture is damaged or cut off: it cannot be read to its end. Save it anew and choose it again.';

/** What ended a picture's process. */
export const TOO_MUCH = {
  time: 'The picture takes longer than 10 seconds to read. Make it simpler and choose it again.',
  memory: 'The picture takes too much memory to read. Make it smaller or simpler and choose it again.',
  ended: 'The picture could not be read: its reader ended. Save it anew, best as PNG, and choose it again.',
};

const FLATTEN = 'Save it as PNG and choose that.';

/** Why a drawing is not drawn. */
export const DRAWING_WORDS: Readonly<Record<DrawingProblem, string>> = {
  damaged: DAMAGED,
  filters: `The drawing uses filters (blur, shadow, noise), which are not drawn here. ${FLATTEN}`,
  foreign: `The drawing holds what is no drawing (a page, or another file). ${FLATTEN}`,
  'too-many': `The drawing repeats its parts so often that drawing it would take minutes. ${FLATTEN}`,
  entities: `The drawing has entities that stand for more than text. ${FLATTEN}`,
  encoding: 'The drawing is not written in UTF-8. Save it as UTF-8, or as PNG, and choose that.',
  circle: `A part of the drawing is made of itself. ${FLATTEN}`,
};
