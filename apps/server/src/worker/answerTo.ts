import type { PictureProcesses } from '../pictures/pictureProcesses.ts';
import type { PairingStore } from '../store/pairingStore.ts';
import type { PictureStore } from '../store/pictureStore.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { answerText } from './answering.ts';
import { bindingsText, setUpFile } from './answeringFiles.ts';
import { answerPairing } from './answeringPairings.ts';
import { addPicture, keepPicture, pictureBytes } from './answeringPictures.ts';
import { answerSetUps } from './answeringSetUps.ts';
import { answerSnapshot } from './answeringSnapshots.ts';
import type { BodyReader } from './bodyReader.ts';
import type { Answer, Ask } from './messages.ts';

/** What the worker keeps. */
export interface Kept {
  readonly store: SetupStore;
  readonly pictures: PictureStore;
  readonly pictureProcesses: PictureProcesses;
  readonly pairings: PairingStore;
  readonly bodies: BodyReader;
}

const encoder = new TextEncoder();

/** Answers what is asked. Throws a `Problem` for what is refused. */
export async function answerTo(kept: Kept, ask: Ask): Promise<Omit<Answer, 'status'>> {
  const { store, pictures, pairings } = kept;
  switch (ask.kind) {
    case 'picture':
      return { holds: 'picture', body: await pictureBytes(pictures, ask.id) };
    case 'add-picture':
      return { holds: 'json', body: encoder.encode(await addPicture(kept, ask.body, ask.query)) };
    case 'set-up-file':
      return { holds: 'file', body: encoder.encode(await setUpFile(store, pictures, ask.id, ask.query)) };
    case 'bindings':
      return { holds: 'text', body: encoder.encode(await bindingsText(store, ask.id, ask.query)) };
    case 'keep-picture':
      return { holds: 'json', body: encoder.encode(await keepPicture(kept, ask.id, ask.body)) };
    case 'make-code':
    case 'code':
    case 'withdraw-code':
    case 'pair':
    case 'paired':
    case 'forget':
    case 'visitor':
      return { holds: 'json', body: encoder.encode(JSON.stringify(await answerPairing(pairings, ask))) };
    case 'storage':
    case 'keep-for':
    case 'create':
    case 'bin':
    case 'unbin':
      return { holds: 'json', body: encoder.encode(await answerSetUps(store, ask)) };
    case 'state':
    case 'snapshots':
    case 'moments':
    case 'go-back':
    case 'keep-snapshot':
    case 'rename-snapshot':
    case 'remove-snapshot':
      return { holds: 'json', body: encoder.encode(await answerSnapshot(store, ask)) };
    case 'health':
    case 'list':
    case 'read-first':
    case 'read':
    case 'entries':
    case 'append':
    case 'import':
    case 'missed':
      return { holds: 'json', body: encoder.encode(await answerText(kept, ask)) };
  }
}
