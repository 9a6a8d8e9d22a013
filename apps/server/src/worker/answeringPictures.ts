import { PICTURE_USES, pictureIdSchema } from '@nimble-lever/core/devices';
import { writeSetupDocument } from '@nimble-lever/core/formats';
import { picturesIn } from '@nimble-lever/core/setup';
import { z } from 'zod';
import { preparePicture } from '../pictures/preparePicture.ts';
import { Problem, readInput } from '../problem/problem.ts';
import type { KeptPicture, PictureStore } from '../store/pictureStore.ts';
import type { SetupStore } from '../store/setupStore.ts';
import type { Query } from './messages.ts';
import { unknownSetUp } from './unknownSetUp.ts';

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

/** A set-up as a file, with the pictures of its faces inside. One that is not kept any more is left out. */
export async function setUpFile(store: SetupStore, pictures: PictureStore, id: string): Promise<string> {
  const stored = await store.read(id);
  if (!stored) throw unknownSetUp(id);
  const found = await pictures.readAll([...picturesIn(stored.setup)]);
  const urls = [...found].map(([name, bytes]) => {
    const base64 = Buffer.from(bytes).toString('base64');
    return [name, `data:image/webp;base64,${base64}`] as const;
  });
  return writeSetupDocument(stored.setup, Object.fromEntries(urls));
}
