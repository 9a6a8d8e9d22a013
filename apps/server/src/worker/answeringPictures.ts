import { PICTURE_USES, pictureIdSchema } from '@nimble-lever/core/devices';
import { z } from 'zod';
import { checkedPicture, preparePicture } from '../pictures/preparePicture.ts';
import { Problem, readInput } from '../problem/problem.ts';
import type { KeptPicture, PictureStore } from '../store/pictureStore.ts';
import type { Query } from './messages.ts';

/** The bytes of a picture. */
export async function pictureBytes(pictures: PictureStore, id: string): Promise<Uint8Array> {
  const bytes = await pictures.read(readInput(pictureIdSchema, id));
  if (!bytes) throw new Problem(404, 'No such picture', 'The picture is not kept here any more.');
  return bytes;
}

/** Where the picture is seen; on a face where it is not said. */
export const addQuerySchema = z.strictObject({ use: z.enum(PICTURE_USES).default('face') });

/** One at a time: a large one takes its memory. */
let last: Promise<unknown> = Promise.resolve();

/** Keeps a picture that was sent, as it came; answers how a face names it. */
export async function addPicture(pictures: PictureStore, sent: Uint8Array, query: Query): Promise<string> {
  const { use } = readInput(addQuerySchema, query);
  const prepared: Promise<KeptPicture> = last.then(() => preparePicture(sent, use));
  last = prepared.catch(() => undefined);
  const { id, width, height, bytes } = await prepared;
  await pictures.add({ id, width, height, bytes });
  return JSON.stringify({ id, width, height });
}

/** Keeps a picture that a file carried, as it is, under the id it has there. */
export async function keepPicture(pictures: PictureStore, id: string, sent: Uint8Array): Promise<string> {
  const name = readInput(pictureIdSchema, id);
  const kept = await last.then(() => checkedPicture(name, sent));
  await pictures.add(kept);
  const { width, height } = kept;
  return JSON.stringify({ id: name, width, height });
}
