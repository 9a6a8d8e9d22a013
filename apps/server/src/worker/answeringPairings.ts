import { pairSchema, rightsSchema } from '@nimble-lever/core/desks';
import { z } from 'zod';
import { Problem, readInput } from '../problem/problem.ts';
import type { PairingStore } from '../store/pairingStore.ts';
import type { Ask } from './messages.ts';
import { parseBody } from './parseBody.ts';

/** What is asked about browsers that may come in. */
type PairingAsk = Extract<
  Ask,
  { readonly kind: 'make-code' | 'code' | 'withdraw-code' | 'pair' | 'paired' | 'forget' | 'visitor' }
>;

/** Answers what is asked about pairing. Throws a `Problem` for what is refused. */
export async function answerPairing(pairings: PairingStore, ask: PairingAsk): Promise<object> {
  switch (ask.kind) {
    case 'make-code':
      return pairings.makeCode(readInput(rightsSchema, parseBody(ask.body)));
    case 'code': {
      const code = await pairings.code(readInput(z.uuid(), ask.id));
      if (!code) throw new Problem(404, 'No such code', 'There is no such code any more.');
      return code;
    }
    case 'withdraw-code':
      await pairings.withdraw(readInput(z.uuid(), ask.id));
      return {};
    case 'pair': {
      const { code, name } = readInput(pairSchema, parseBody(ask.body));
      const outcome = await pairings.pair(code, name, ask.token, ask.before);
      if (outcome.kind === 'wrong') throw new Problem(403, 'Not this code', WRONG);
      return { rights: outcome.rights };
    }
    case 'paired':
      return pairings.list(ask.own);
    case 'forget':
      if (!(await pairings.forget(readInput(z.uuid(), ask.id)))) {
        throw new Problem(404, 'Not paired', 'That browser was forgotten already.');
      }
      return {};
    case 'visitor': {
      const paired = await pairings.seen(ask.token);
      if (!paired) throw new Problem(404, 'Not paired', 'This browser is not paired.');
      return paired;
    }
  }
}

/** It tells nothing of how many codes there are, or how near it was. */
const WRONG =
  'No code that is good now is this one. A code is good for two minutes; look at it again, or have a new one made.';
