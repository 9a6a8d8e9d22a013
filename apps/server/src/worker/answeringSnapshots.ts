import { idSchema } from '@nimble-lever/core/devices';
import { revisionSchema } from '@nimble-lever/core/setup';
import {
  editTo,
  goBackSchema,
  MOST_SNAPSHOTS,
  newSnapshotSchema,
  packMoments,
  snapshotWordsSchema,
} from '@nimble-lever/core/vault';
import { refusalWords } from '@nimble-lever/core/words';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import type { StoredSetup } from '../store/loadSetup.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { setupText } from '../store/setupText.ts';
import type { Ask } from './messages.ts';
import { parseBody } from './parseBody.ts';
import { unknownSetUp } from './unknownSetUp.ts';

/** What is asked of set-ups as they were. */
type SnapshotAsk = Extract<
  Ask,
  {
    readonly kind:
      | 'state'
      | 'moments'
      | 'go-back'
      | 'snapshots'
      | 'keep-snapshot'
      | 'rename-snapshot'
      | 'remove-snapshot';
  }
>;

/** Answers what is asked, as JSON text. Throws a `Problem` for what is refused. */
export async function answerSnapshot(store: SetupStore, ask: SnapshotAsk): Promise<string> {
  const id = readInput(idSchema, ask.id);
  switch (ask.kind) {
    case 'state':
      return stateText(store, id, readInput(revisionInput, ask.revision));
    case 'moments': {
      const moments = await store.momentsAfter(id, readInput(momentsQuery, ask.query).after);
      if (!moments) throw unknownSetUp(id);
      return JSON.stringify(packMoments(moments));
    }
    case 'go-back':
      return JSON.stringify({ kind: await goBack(store, id, readInput(goBackSchema, parseBody(ask.body))) });
    case 'snapshots':
      return JSON.stringify(await store.snapshots.list(id));
    case 'keep-snapshot': {
      const { name, note, author } = readInput(newSnapshotSchema, parseBody(ask.body));
      if ((await store.snapshots.countOwn(id)) >= MOST_SNAPSHOTS) {
        const detail = `There are ${MOST_SNAPSHOTS} snapshots, as many as there may be. Remove some that are not needed; nothing was changed.`;
        throw new Problem(409, 'Too many snapshots', detail);
      }
      const kept = await store.keepNow(id, { kind: 'own', name, note, author, day: null });
      if (kept === null) throw unknownSetUp(id);
      return JSON.stringify({ id: kept });
    }
    case 'rename-snapshot': {
      const { name, note } = readInput(snapshotWordsSchema, parseBody(ask.body));
      const snapshot = readInput(z.uuid(), ask.snapshot);
      if (!(await store.snapshots.rename(id, snapshot, name, note))) throw unknownSnapshot();
      return '{}';
    }
    case 'remove-snapshot':
      if (!(await store.snapshots.remove(id, readInput(z.uuid(), ask.snapshot)))) throw unknownSnapshot();
      return '{}';
  }
}

const momentsQuery = z.strictObject({ after: z.coerce.number().pipe(revisionSchema).default(0) });
const revisionInput = z.coerce.number().pipe(revisionSchema);

/** A set-up as it was right after an edit. Throws a `Problem` where there is no way there. */
export async function stateOf(store: SetupStore, id: string, revision: number): Promise<StoredSetup> {
  const state = await store.stateAt(id, revision);
  if (!state) throw unknownSetUp(id);
  if (state === 'unknown') {
    throw new Problem(
      404,
      'No way there',
      'An edit on the way cannot be read any more, or there is no edit of this number. Choose another moment.',
    );
  }
  return state;
}

async function stateText(store: SetupStore, id: string, revision: number): Promise<string> {
  const state = await stateOf(store, id, revision);
  const at = await store.madeAt(id, revision);
  const head = JSON.stringify({ revision, at: at?.toISOString() ?? null });
  return `${head.slice(0, -1)},"setup":${setupText(state.setup)}}`;
}

/** Makes a set-up what it was right after an edit, as one edit of the person's. */
async function goBack(
  store: SetupStore,
  setUp: string,
  { revision, id, author }: z.infer<typeof goBackSchema>,
): Promise<'done' | 'there'> {
  const then = await stateOf(store, setUp, revision);
  const now = await store.read(setUp);
  if (!now) throw unknownSetUp(setUp);
  const way = editTo(now.setup, then.setup);
  switch (way.kind) {
    case 'there':
      return 'there';
    case 'too-many':
    case 'no-way':
      throw new Problem(
        409,
        'Too much at once',
        'These are more changes than can be made at once. Nothing was changed; go back in several steps.',
      );
    case 'edit': {
      const entry = { id, role: 'do', edit: way.edit, author, base: now.revision } as const;
      const [outcome] = (await store.append(setUp, [entry]))?.outcomes ?? [];
      if (outcome?.kind === 'saved') return 'done';
      const why = outcome?.kind === 'refused' ? refusalWords(outcome.refusal) : '';
      throw new Problem(409, 'Changed meanwhile', `${why} Nothing was changed; try again.`.trim());
    }
  }
}

function unknownSnapshot(): Problem {
  return new Problem(404, 'No such snapshot', 'There is no such snapshot any more. Nothing was changed.');
}
