import { idSchema } from '@nimble-lever/core/devices';
import { type FilePart, PART_FILE_KINDS, writeSetupDocument } from '@nimble-lever/core/formats';
import { picturesIn, revisionSchema } from '@nimble-lever/core/setup';
import { bindingsCsv, bindingsMarkdown, hasPart, outgoing } from '@nimble-lever/core/vault';
import { refusalWords } from '@nimble-lever/core/words';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import type { StoredSetup } from '../store/loadSetup.ts';
import type { PictureStore } from '../store/pictureStore.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { stateOf } from './answeringSnapshots.ts';
import type { Query } from './messages.ts';
import { unknownSetUp } from './unknownSetUp.ts';

/** What of the set-up; all of it where it is not said. */
const at = z.coerce.number().pipe(revisionSchema).optional();
const fileQuery = z.union([
  z.strictObject({ part: z.enum(PART_FILE_KINDS), of: idSchema, at }),
  z.strictObject({ at }),
]);
/** As what bindings are told. */
const bindingsQuery = z.strictObject({ as: z.enum(['csv', 'markdown']), at });

/** A set-up or a part of one as a file, with the pictures of its faces inside. One that is not kept any more is left out. */
export async function setUpFile(
  store: SetupStore,
  pictures: PictureStore,
  id: string,
  query: Query,
): Promise<string> {
  const asked = readInput(fileQuery, query);
  const stored = await storedAt(store, id, asked.at);
  const part: FilePart | null = 'part' in asked ? { kind: asked.part, id: asked.of } : null;
  if (part && !hasPart(stored.setup, part)) {
    throw new Problem(404, 'No such part', `The set-up has no ${part.kind} “${part.id}”.`);
  }
  const out = outgoing(stored.setup, part);
  if (!out.ok) throw new Problem(409, 'Not by itself', refusalWords(out.problem));
  const found = await pictures.readAll([...picturesIn(out.value)]);
  const urls = [...found].map(([name, bytes]) => {
    const base64 = Buffer.from(bytes).toString('base64');
    return [name, `data:image/webp;base64,${base64}`] as const;
  });
  return writeSetupDocument(out.value, Object.fromEntries(urls), part);
}

/** Everything that is bound, as a table. */
export async function bindingsText(store: SetupStore, id: string, query: Query): Promise<string> {
  const asked = readInput(bindingsQuery, query);
  const { setup } = await storedAt(store, id, asked.at);
  return asked.as === 'csv' ? bindingsCsv(setup) : bindingsMarkdown(setup);
}

/** A set-up as it is now, or was right after an edit. */
async function storedAt(store: SetupStore, id: string, revision: number | undefined): Promise<StoredSetup> {
  const setUp = readInput(idSchema, id);
  if (revision !== undefined) return stateOf(store, setUp, revision);
  const stored = await store.read(setUp);
  if (!stored) throw unknownSetUp(setUp);
  return stored;
}
