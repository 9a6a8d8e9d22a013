import { randomUUID } from 'node:crypto';
import path from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { clusterOf, startCluster } from '../scripts/lib/cluster.mjs';
import { type RunningApp, startApp } from './support/app.ts';
import { WREN } from './support/edits.ts';
import { IN_FULL } from './support/inFull.ts';
import { expect, test } from './support/test.ts';

const ROUNDS = IN_FULL ? 50 : 6;
/** Of the database itself, which takes longer to come back. */
const DATABASE_ROUNDS = IN_FULL ? 25 : 3;
/** How far into what is under way, of 120 ms, each round is hurt: a few rounds are as spread as many. */
const STRIDE = IN_FULL ? 7 : 23;
/** So many macros come at once. */
const MACROS = 200;

/** An import of many parts, which are there together or not at all. */
const importOf = (round: number) => ({
  id: randomUUID(),
  role: 'do',
  author: WREN,
  base: 0,
  edit: {
    kind: 'together',
    edits: Array.from({ length: MACROS }, (_, i) => ({
      kind: 'add',
      at: `macros/r${round}-${i}`,
      after: null,
      item: {
        id: `r${round}-${i}`,
        name: `Round ${round}, ${i}`,
        program: null,
        run: 'times',
        times: 1,
        again: 'ignore',
        goesOn: false,
        pace: 0,
        steps: [{ id: 'a', kind: 'text', text: 'heron '.repeat(20), note: null, skipped: false }],
      },
    })),
  },
});

/** Hurts what runs, some time into what is under way, and heals it again. */
type Hurt = (round: number) => Promise<{ readonly heal: () => Promise<void> }>;

/** Rounds of imports, snapshots and going back, each hurt in the middle. */
async function goThrough(app: RunningApp, rounds: number, hurt: Hurt, hurtBack: Hurt): Promise<void> {
  const of = (rest: string) => `${app.address}/api/set-ups/saltmarsh${rest}`;
  const post = async (rest: string, body: object): Promise<unknown> => {
    try {
      const response = await fetch(of(rest), {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      return response.ok ? await response.json() : null;
    } catch {
      return null;
    }
  };
  const macrosOf = async (round: number, at = ''): Promise<number> => {
    const { setup } = (await (await fetch(of(at))).json()) as { setup: { macros: { id: string }[] } };
    return setup.macros.filter(({ id }) => id.startsWith(`r${round}-`)).length;
  };
  const snapshots = async () =>
    (await (await fetch(of('/snapshots'))).json()) as { name: string | null; revision: number }[];

  const isBack = () =>
    expect.poll(async () => (await fetch(of('')).catch(() => null))?.status, { timeout: 60_000 }).toBe(200);

  let whole = 0;
  for (let round = 0; round < rounds; round++) {
    const imported = post('/import', { after: 0, entries: [importOf(round)] });
    const kept = post('/snapshots', { name: `Round ${round}`, note: null, author: WREN });
    await sleep((round * STRIDE) % 120);
    const hurting = await hurt(round);
    const [saved, named] = (await Promise.all([imported, kept])) as [
      { outcomes: { kind: string }[] } | null,
      { id: string } | null,
    ];
    await hurting.heal();
    await isBack();

    const count = await macrosOf(round);
    expect([0, MACROS]).toContain(count);
    const isSaved = saved?.outcomes[0]?.kind === 'saved';
    if (isSaved) expect(count).toBe(MACROS);
    if (count > 0) whole += 1;
    const snapshot = (await snapshots()).find(({ name }) => name === `Round ${round}`);
    if (named) expect(snapshot).toBeDefined();
    // What is listed can be read, whole.
    if (snapshot) expect([0, MACROS]).toContain(await macrosOf(round, `/states/${snapshot.revision}`));

    // Back to how it began, hurt as well: where it was answered it is so.
    const back = post('/back', { revision: 0, id: randomUUID(), author: WREN });
    await sleep((round * 11) % 90);
    const hurtingBack = await hurtBack(round);
    const went = await back;
    await hurtingBack.heal();
    await isBack();
    const left = await macrosOf(round);
    expect([0, count]).toContain(left);
    if (went) expect(left).toBe(0);
  }
  // Of many some came through, else nothing was shown.
  if (IN_FULL) expect(whole).toBeGreaterThan(0);
}

const nothing = async () => ({ heal: async () => undefined });

test('the server, or what it has of the database, killed in the middle of an import, of going back or of a snapshot: all of it or nothing, and nothing acknowledged is lost', async ({
  app,
}) => {
  test.setTimeout(900_000);
  const killServer = async () => {
    await app.kill();
    return { heal: () => app.restart() };
  };
  const endConnections = async () => {
    await app.query(
      'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
    );
    return nothing();
  };
  // In turn, each time at another moment.
  await goThrough(
    app,
    ROUNDS,
    (round) => (round % 2 === 0 ? killServer() : endConnections()),
    (round) => (round % 2 === 1 ? killServer() : nothing()),
  );
});

test('the database itself killed meanwhile: the same', async () => {
  test.setTimeout(900_000);
  const cluster = await startCluster('killed');
  const app = await startApp({}, cluster.urlOf('postgres'));
  const { home, data } = clusterOf('killed');
  const killDatabase = async () => {
    const { output } = home.asOwner('cat', [path.join(data, 'postmaster.pid')]);
    process.kill(Number(output.split('\n')[0]), 'SIGKILL');
    return { heal: async () => void (await cluster.bringBack()) };
  };
  try {
    await goThrough(app, DATABASE_ROUNDS, killDatabase, (round) =>
      round % 2 === 1 ? killDatabase() : nothing(),
    );
  } finally {
    await app.stop();
    cluster.stop();
  }
});
