import { PICTURE_USES, pictureIdSchema } from '@nimble-lever/core/devices';
import { z } from 'zod';
import type { PictureProcesses } from '../pictures/pictureProcesses.ts';
import { Problem, readInput } from '../problem/problem.ts';
import type { KeptPicture, PictureStore } from '../store/pictureStore.ts';
import type { Query } from './messages.ts';

/** What pictures are kept in and made ready by. */
interface PictureParts {
  readonly pictures: PictureStore;
  readonly pictureProcesses: PictureProcesses;
}

/** The bytes of a picture. */
export async function pictureBytes(pictures: PictureStore, id: string): Promise<Uint8Array> {
  const bytes = await pictures.read(readInput(pictureIdSchema, id));
  if (!bytes) throw new Problem(404, 'No such picture', 'The picture is not kept here any more.');
  return bytes;
}

/** Where the picture is seen; on a face where it is not said. */
export const addQuerySchema = z.strictObject({ use: z.enum(PICTURE_USES).default('face') });

/** Keeps a picture that was sent, as it came; answers how a face names it. */
export async function addPicture(
  { pictures, pictureProcesses }: PictureParts,
  given: Uint8Array,
  query: Query,
): Promise<string> {
  const { use } = readInput(addQuerySchema, query);
  return keep(pictures, await pictureProcesses.ask({ kind: 'prepare', use, given }));
}

/** Keeps a picture that a file carried, as it is, under the id it has there. */
export async function keepPicture(
  { pictures, pictureProcesses }: PictureParts,
  named: string,
  given: Uint8Array,
): Promise<string> {
  const id = readInput(pictureIdSchema, named);
  return keep(pictures, await pictureProcesses.ask({ kind: 'check', id, given }));
}

async function keep(pictures: PictureStore, { id, width, height, bytes }: KeptPicture): Promise<string> {
  await pictures.add({ id, width, height, bytes });
  return JSON.stringify({ id, width, height });
}
