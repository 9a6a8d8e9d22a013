import { idSchema } from '@nimble-lever/core/devices';
import { type FilePart, PART_FILE_KINDS, writeSetupDocument } from '@nimble-lever/core/formats';
import { picturesIn } from '@nimble-lever/core/setup';
import { bindingsCsv, bindingsMarkdown, hasPart, outgoing } from '@nimble-lever/core/vault';
import { refusalWords } from '@nimble-lever/core/words';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import type { PictureStore } from '../store/pictureStore.ts';
import type { SetupStore } from '../store/setupStore.ts';
import type { Query } from './messages.ts';
import { unknownSetUp } from './unknownSetUp.ts';

/** What of the set-up; all of it where it is not said. */
const fileQuery = z.union([
  z.strictObject({ part: z.enum(PART_FILE_KINDS), of: idSchema }),
  z.strictObject({}),
]);
/** As what bindings are told. */
const bindingsQuery = z.strictObject({ as: z.enum(['csv', 'markdown']) });

/** A set-up or a part of one as a file, with the pictures of its faces inside. One that is not kept any more is left out. */
export async function setUpFile(
  store: SetupStore,
  pictures: PictureStore,
  id: string,
  query: Query,
): Promise<string> {
  const asked = readInput(fileQuery, query);
  const stored = await store.read(readInput(idSchema, id));
  if (!stored) throw unknownSetUp(id);
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
  const { as } = readInput(bindingsQuery, query);
  const stored = await store.read(readInput(idSchema, id));
  if (!stored) throw unknownSetUp(id);
  return as === 'csv' ? bindingsCsv(stored.setup) : bindingsMarkdown(stored.setup);
}
