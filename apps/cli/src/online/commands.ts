import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { PART_FILE_KINDS } from '@nimble-lever/core/formats';
import {
  appendAnswerSchema,
  historySchema,
  picturesIn,
  setUpListSchema,
  storedSchema,
} from '@nimble-lever/core/setup';
import {
  type Choice,
  differencesOf,
  differenceWords,
  editTo,
  entryWords,
  planIncoming,
  proposeChoices,
  proposeMapping,
  takeIn,
  unitsOf,
  wentBackSchema,
} from '@nimble-lever/core/vault';
import { capital, refusalWords } from '@nimble-lever/core/words';
import { Refused, readSetupFile } from '../files.ts';
import { terminalAuthor } from './author.ts';
import { revisionOf, setupNamed, snapshotsOf } from './moments.ts';
import type { Server } from './server.ts';

/** What a command prints, and with what it ends. */
export interface Said {
  readonly text: string;
  /** 0: done; 1: of `diff`, that they differ. */
  readonly code: 0 | 1;
}
const done = (text: string): Said => ({ text, code: 0 });
const asJson = (value: unknown): Said => done(`${JSON.stringify(value, null, 2)}\n`);

/** The set-ups there are. */
export async function listSetUps(server: Server, isJson: boolean): Promise<Said> {
  const all = await server.json(setUpListSchema, 'GET', '/api/set-ups');
  if (isJson) return asJson(all);
  return done(
    all
      .map(
        ({ id, name, revision, binnedAt }) =>
          `${id}\t${name}\t${revision} edits${binnedAt ? '\tin the bin' : ''}\n`,
      )
      .join(''),
  );
}

/** A set-up or a part of it as a file, or its bindings as a table; on standard output where no file is named. */
export async function exportSetUp(
  server: Server,
  named: string,
  { part, as, to }: { readonly part: string | null; readonly as: string; readonly to: string | null },
): Promise<Said> {
  const { id } = await server.setUp(named);
  const text = await server.text('GET', `/api/set-ups/${id}/${exportPath(part, as)}`);
  if (to === null) return done(text);
  try {
    writeFileSync(to, text);
  } catch {
    throw new Refused(`${to}: It cannot be written.`);
  }
  return done(`${to}: ${text.length} characters.\n`);
}

function exportPath(part: string | null, as: string): string {
  if (as === 'csv' || as === 'markdown') {
    if (part !== null) throw new Refused('A table is of the whole set-up; leave --part out.');
    return `bindings?as=${as}`;
  }
  if (as !== 'json') throw new Refused(`--as ${as}: json, csv or markdown.`);
  if (part === null) return 'file';
  const [kind = '', id = ''] = part.split('/');
  if (!(PART_FILE_KINDS as readonly string[]).includes(kind) || id === '') {
    throw new Refused(`--part ${part}: one of ${PART_FILE_KINDS.map((each) => `${each}/ID`).join(', ')}.`);
  }
  return `file?part=${kind}&of=${encodeURIComponent(id)}`;
}

/** Takes a file in: what is new, and with `all` also in the place of what is there; with `look` it only tells. */
export async function importFile(
  server: Server,
  named: string,
  file: string,
  { all, look, isJson }: { readonly all: boolean; readonly look: boolean; readonly isJson: boolean },
): Promise<Said> {
  const { id } = await server.setUp(named);
  const given = readSetupFile(file);
  const { setup, revision } = await server.json(storedSchema, 'GET', `/api/set-ups/${id}`);
  const incoming = planIncoming(setup, given, proposeMapping(setup, given.setup));
  const choices: ReadonlyMap<string, Choice> = all
    ? new Map(incoming.parts.map(({ key }) => [key, 'take']))
    : proposeChoices(incoming);
  const parts = incoming.parts.map(({ key, section, name, change, lines }) => ({
    part: `${section}: ${name}`,
    change,
    becomes: choices.get(key) ?? 'mine',
    lines,
  }));
  const told = { parts, same: incoming.same, lost: incoming.lost.length };
  const lines = [
    ...parts.map(({ part, change, becomes }) => `${becomes === 'take' ? '+' : ' '} ${part} (${change})`),
    `Otherwise or new: ${parts.length}. Here already: ${incoming.same}. Without a place here: ${incoming.lost.length}.`,
  ];
  if (look) return isJson ? asJson({ ...told, taken: false }) : done(`${lines.join('\n')}\n`);
  const taken = takeIn(setup, incoming, choices);
  if (!taken.ok) throw new Refused(`${refusalWords(taken.problem)} Nothing was changed.`);
  const way = editTo(setup, taken.value.setup);
  if (way.kind === 'there') {
    return isJson ? asJson({ ...told, taken: false }) : done('Nothing of it is otherwise than there.\n');
  }
  if (way.kind !== 'edit')
    throw new Refused('These are more changes than can be made at once. Nothing was changed.');
  await sendPictures(server, given.pictures, picturesIn(taken.value.setup));
  const entry = { id: randomUUID(), role: 'do', edit: way.edit, author: terminalAuthor(), base: revision };
  const body = { after: revision, entries: [entry] };
  const answer = await server.json(appendAnswerSchema, 'POST', `/api/set-ups/${id}/import`, body);
  const [outcome] = answer.outcomes;
  if (outcome?.kind !== 'saved') throw new Refused(`${outcome?.detail ?? ''} Nothing was changed.`.trim());
  if (isJson) return asJson({ ...told, taken: true, revision: outcome.revision });
  return done(`${lines.join('\n')}\nTaken in as edit no. ${outcome.revision}.\n`);
}

async function sendPictures(
  server: Server,
  pictures: Readonly<Record<string, string>>,
  needed: ReadonlySet<string>,
): Promise<void> {
  for (const [id, url] of Object.entries(pictures)) {
    if (needed.has(id))
      await server.bytes(
        'PUT',
        `/api/pictures/${id}`,
        Buffer.from(url.slice(url.indexOf(',') + 1), 'base64'),
      );
  }
}

/** Keeps a set-up as it is now under a name. */
export async function makeSnapshot(
  server: Server,
  named: string,
  { name, note, isJson }: { readonly name: string; readonly note: string | null; readonly isJson: boolean },
): Promise<Said> {
  const { id, revision } = await server.setUp(named);
  await server.text('POST', `/api/set-ups/${id}/snapshots`, { name, note, author: terminalAuthor() });
  if (isJson) return asJson({ setUp: id, name, note, revision });
  return done(`Kept as “${name}”, after edit no. ${revision}.\n`);
}

/** The newest edits in words, newest first, and the snapshots. */
export async function tellHistory(
  server: Server,
  named: string,
  count: number,
  isJson: boolean,
): Promise<Said> {
  const { id, revision } = await server.setUp(named);
  const { setup } = await server.json(storedSchema, 'GET', `/api/set-ups/${id}`);
  const { entries } = await server.json(
    historySchema,
    'GET',
    `/api/set-ups/${id}/edits?before=${revision + 1}&count=${count}`,
  );
  const told = entries.toReversed().map((entry) => ({
    revision: entry.revision,
    at: entry.at,
    by: entry.author.name,
    role: entry.role,
    words: capital(entryWords(setup, entry)),
  }));
  if (isJson) return asJson({ edits: told, snapshots: await snapshotsOf(server, id) });
  return done(told.map((each) => `${each.revision}\t${each.at}\t${each.by}\t${each.words}\n`).join(''));
}

/** Makes a set-up what it was after an edit, or at a snapshot. */
export async function goBack(server: Server, named: string, to: string, isJson: boolean): Promise<Said> {
  const { id } = await server.setUp(named);
  const revision = await revisionOf(server, id, to);
  const body = { revision, id: randomUUID(), author: terminalAuthor() };
  const { kind } = await server.json(wentBackSchema, 'POST', `/api/set-ups/${id}/back`, body);
  if (isJson) return asJson({ setUp: id, revision, changed: kind === 'done' });
  return done(
    kind === 'there'
      ? 'It is like this already.\n'
      : `The set-up is as it was after edit no. ${revision}. Undo brings the rest back.\n`,
  );
}

/** In what two set-ups differ; ends with 1 where they do. */
export async function tellDifferences(
  server: Server,
  first: string,
  second: string,
  isJson: boolean,
): Promise<Said> {
  const [from, to] = [await setupNamed(server, first), await setupNamed(server, second)];
  const compared = { from, to, fromUnits: unitsOf(from), toUnits: unitsOf(to) };
  const told = differencesOf(compared.fromUnits, compared.toUnits).map((difference) => ({
    change: difference.change,
    ...differenceWords(compared, difference),
  }));
  const code = told.length > 0 ? 1 : 0;
  if (isJson) return { text: `${JSON.stringify(told, null, 2)}\n`, code };
  const lines = told.flatMap(({ change, section, name, lines: own }) => [
    `${SIGNS[change]} ${section}: ${name}`,
    ...own.map((line) => `    ${line}`),
  ]);
  return { text: lines.map((line) => `${line}\n`).join(''), code };
}

const SIGNS = { added: '+', removed: '-', changed: '~' } as const;
