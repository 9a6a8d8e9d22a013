import type { Author, Entry } from '@nimble-lever/core/setup';
import { newUuid } from '../newUuid.ts';
import { sendEntries } from './api.ts';
import { readSetUps } from './vaultApi.ts';

/** Gives a set-up that is not open here another name, by an edit of it. Throws an error whose message can be shown. */
export async function renameSetUp(setUp: string, name: string, author: Author): Promise<void> {
  const revision = (await readSetUps()).find(({ id }) => id === setUp)?.revision ?? 0;
  const edit = { kind: 'set', at: '', fields: { name } } as const;
  const entry: Entry = { id: newUuid(), role: 'do', edit, author, base: revision };
  const sent = await sendEntries(setUp, revision, [entry]);
  const [outcome] = sent.kind === 'answered' ? sent.outcomes : [];
  if (outcome?.kind === 'saved') return;
  const why = outcome?.detail ?? ('detail' in sent ? sent.detail : '');
  throw new Error(`${why} It keeps its name.`.trim());
}
