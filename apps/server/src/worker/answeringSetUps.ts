import { idSchema } from '@nimble-lever/core/devices';
import { demoSetup, type Setup } from '@nimble-lever/core/setup';
import {
  type Beginning,
  emptySetup,
  keepSchema,
  newSetUpSchema,
  readyMadeSetup,
} from '@nimble-lever/core/vault';
import { Problem, readInput } from '../problem/problem.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { stateOf } from './answeringSnapshots.ts';
import type { Ask } from './messages.ts';
import { parseBody } from './parseBody.ts';
import { unknownSetUp } from './unknownSetUp.ts';

/** Making set-ups, the bin, and what is kept. */
type SetUpsAsk = Extract<Ask, { readonly kind: 'storage' | 'keep-for' | 'create' | 'bin' | 'unbin' }>;

/** Answers what is asked, as JSON text. Throws a `Problem` for what is refused. */
export async function answerSetUps(store: SetupStore, ask: SetUpsAsk): Promise<string> {
  switch (ask.kind) {
    case 'storage':
      return JSON.stringify(await store.storage());
    case 'keep-for': {
      const id = readInput(idSchema, ask.id);
      const { days } = readInput(keepSchema, parseBody(ask.body));
      if (!(await store.keepFor(id, days))) throw unknownSetUp(id);
      return '{}';
    }
    case 'create': {
      const { name, begin } = readInput(newSetUpSchema, parseBody(ask.body));
      const id = await store.create({ ...(await setupToBegin(store, name, begin)), name });
      if (id === null) {
        const detail = 'There are as many set-ups as there may be. Empty the bin, or keep some as files.';
        throw new Problem(409, 'Too many set-ups', detail);
      }
      return JSON.stringify({ id });
    }
    case 'bin':
    case 'unbin': {
      const id = readInput(idSchema, ask.id);
      const done = await store.putInBin(id, ask.kind === 'bin');
      if (!done) throw unknownSetUp(id);
      if (done === 'last') {
        throw new Problem(
          409,
          'The last one',
          'It is the only set-up. Make another one first; this one stays.',
        );
      }
      return '{}';
    }
  }
}

/** What a set-up begins as. */
async function setupToBegin(store: SetupStore, name: string, begin: Beginning): Promise<Setup> {
  switch (begin.from) {
    case 'empty':
      return emptySetup(name);
    case 'demo':
      return demoSetup();
    case 'ready-made':
      return readyMadeSetup(name, begin.models);
    case 'copy': {
      if (begin.revision !== null) return (await stateOf(store, begin.of, begin.revision)).setup;
      const stored = await store.read(begin.of);
      if (!stored) throw unknownSetUp(begin.of);
      return stored.setup;
    }
  }
}
