import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { readSetupDocument, writeSetupDocument } from '@nimble-lever/core/formats';
import { itemAt, type Setup } from '@nimble-lever/core/setup';
import {
  type Choice,
  editTo,
  emptySetup,
  outgoing,
  planIncoming,
  proposeMapping,
  takeIn,
} from '@nimble-lever/core/vault';
import type { Pool } from 'pg';
import { pino } from 'pino';
import { openDatabase } from '../../apps/server/src/database/dataSource.ts';
import { poolOf } from '../../apps/server/src/store/database.ts';
import { SetupStore } from '../../apps/server/src/store/setupStore.ts';
import { dropDatabase, ensureDatabase, sibling } from '../../scripts/lib/databases.mjs';
import { postgresTool } from '../../scripts/lib/postgresTool.mjs';
import { largeSetup } from './largeSetup.ts';

const ROUNDS = 5;
/** The log in which states are looked for, and how many are. */
const EDITS = 100_000;
const STATES = 60;
const AT_ONCE = 500;

const author = { id: randomUUID(), name: 'Bench' };
const median = (times: readonly number[]) =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/** The large set-up without what its programs are not there for. */
function soundSetup(...size: Parameters<typeof largeSetup>): Setup {
  return { ...largeSetup(...size), macros: [], pages: [], radialMenus: [] };
}

/** Milliseconds a piece of work takes, and what it gives. */
async function took<Value>(work: () => Value | Promise<Value>): Promise<[ms: number, value: Value]> {
  const began = performance.now();
  const value = await work();
  return [performance.now() - began, value];
}

/** Files of 20,000 bindings out and in, beside plain JSON and a plain COPY of the rows; a state among 100,000. */
export async function measureVault(server: string) {
  const name = `nimble_lever_bench_${randomUUID().replaceAll('-', '')}`;
  await ensureDatabase(server, name);
  const url = sibling(server, name);
  const source = await openDatabase(url, 120_000);
  const pool = poolOf(source);
  const store = new SetupStore(pool, () => undefined, pino({ level: 'silent' }));
  try {
    const setup = soundSetup();
    const files = await measureFiles(url, pool, store, setup);
    const states = await measureStates(store);
    return { ...files, states };
  } finally {
    await source.destroy();
    await dropDatabase(server, name);
  }
}

async function measureFiles(url: string, pool: Pool, store: SetupStore, setup: Setup) {
  const exports: number[] = [];
  const plainExports: number[] = [];
  const imports: number[] = [];
  const plainImports: number[] = [];
  let bytes = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const [out, text] = await took(() => {
      const all = outgoing(setup, null);
      return all.ok ? writeSetupDocument(all.value) : '';
    });
    const [plainOut] = await took(() => JSON.stringify({ setup }, null, 2));
    bytes = text.length;
    exports.push(out);
    plainExports.push(plainOut);
    const id = (await store.create(emptySetup(`Round ${round}`))) ?? '';
    const [into] = await took(() => importInto(store, id, text));
    const [plain] = await took(() => plainImport(url, pool, round, text));
    imports.push(into);
    plainImports.push(plain);
  }
  const ratio = (own: readonly number[], plain: readonly number[]) =>
    median(own.map((ms, i) => ms / (plain[i] ?? 1)));
  return {
    bytes,
    export: { ms: median(exports), plain: median(plainExports), ratio: ratio(exports, plainExports) },
    import: { ms: median(imports), plain: median(plainImports), ratio: ratio(imports, plainImports) },
  };
}

/** Read, checked, compared, made one edit of, and written behind a snapshot: all that taking in is. */
async function importInto(store: SetupStore, id: string, text: string): Promise<void> {
  const read = readSetupDocument(text);
  const now = (await store.read(id))?.setup;
  if (!read.ok || !now) throw new Error('It cannot be read.');
  const incoming = planIncoming(now, read.value, proposeMapping(now, read.value.setup));
  const choices = new Map<string, Choice>(incoming.parts.map(({ key }) => [key, 'take']));
  const taken = takeIn(now, incoming, choices);
  if (!taken.ok) throw new Error(taken.problem.code);
  const way = editTo(now, taken.value.setup);
  if (way.kind !== 'edit') throw new Error(way.kind);
  const entry = { id: randomUUID(), role: 'do', edit: way.edit, author, base: 0 } as const;
  const [outcome] = (await store.append(id, [entry], 'import'))?.outcomes ?? [];
  if (outcome?.kind !== 'saved') throw new Error(JSON.stringify(outcome).slice(0, 200));
}

/**
 * Only JSON.parse, and the rows of its bindings by COPY, into a table without anything to hold them to. Starting `psql`
 * is counted in.
 */
async function plainImport(url: string, pool: Pool, round: number, text: string): Promise<void> {
  const { setup } = JSON.parse(text) as { setup: Setup };
  const lines = Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).map(([key, { behaviour }]) =>
      [id, key, JSON.stringify(behaviour)].map(copyText).join('\t'),
    ),
  );
  const table = `plain_${round}`;
  await pool.query(`CREATE TABLE ${table} (profile text, key text, behaviour jsonb)`);
  const folder = mkdtempSync(path.join(tmpdir(), 'bench-'));
  try {
    const file = path.join(folder, 'rows.txt');
    writeFileSync(file, `${lines.join('\n')}\n`);
    const done = await postgresTool('psql', url, [`--command=\\copy ${table} FROM '${file}'`]);
    if (!done.ok) throw new Error(done.why);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** As COPY reads it (PostgreSQL, COPY, “Text Format”). */
const copyText = (value: string) =>
  value.replaceAll('\\', '\\\\').replaceAll('\t', '\\t').replaceAll('\n', '\\n');

/** States of a set-up at random among many edits, each as it was: the server's part of looking back. */
async function measureStates(store: SetupStore) {
  const id = (await store.create(soundSetup(20, 60))) ?? '';
  const setup = (await store.read(id))?.setup;
  const profiles = Object.keys(setup?.profiles ?? {});
  for (let done = 0; done < EDITS; done += AT_ONCE) {
    const entries = Array.from({ length: AT_ONCE }, (_, i) => {
      const n = done + i;
      const at = itemAt.binding({
        profile: profiles[n % profiles.length] ?? '',
        layer: 'base',
        device: 'pad-0',
        control: `key-${1 + (n % 12)}`,
        trigger: 'press',
      });
      const action = { kind: 'shortcut', shortcut: `F${1 + (Math.floor(n / 300) % 12)}` };
      const edit = {
        kind: 'set',
        at,
        fields: { behaviour: { kind: 'action', action, style: 'tap' } },
      } as const;
      return { id: randomUUID(), role: 'do', edit, author, base: n } as const;
    });
    await store.append(id, entries);
  }
  const times: number[] = [];
  for (let i = 0; i < STATES; i++) {
    // Spread over the whole log, none of them where a state is kept.
    const revision = 1 + ((i * 16_807 + 99) % (EDITS - 1));
    const [ms, state] = await took(() => store.stateAt(id, revision));
    if (!state || state === 'unknown') throw new Error(`No state ${revision}.`);
    times.push(ms);
  }
  const sorted = times.toSorted((a, b) => a - b);
  return {
    edits: EDITS,
    median: median(times),
    most: sorted.at(-1) ?? 0,
    kept: await store.storage(),
  };
}
