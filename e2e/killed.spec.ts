import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { WREN } from './support/edits.ts';
import { expect, test } from './support/test.ts';

const ROUNDS = 50;
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

test('killed in the middle of an import, of going back or of a snapshot: all of it or nothing, and nothing acknowledged is lost', async ({
  app,
}) => {
  test.setTimeout(900_000);
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

  let whole = 0;
  for (let round = 0; round < ROUNDS; round++) {
    // The server and its database's connections die in turn, each time at another moment.
    const imported = post('/import', { after: 0, entries: [importOf(round)] });
    const kept = post('/snapshots', { name: `Round ${round}`, note: null, author: WREN });
    await sleep((round * 7) % 120);
    if (round % 2 === 0) await app.kill();
    else {
      await app.query(
        'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = current_database() AND pid <> pg_backend_pid()',
      );
    }
    const [saved, named] = (await Promise.all([imported, kept])) as [
      { outcomes: { kind: string }[] } | null,
      { id: string } | null,
    ];
    if (round % 2 === 0) await app.restart();
    await expect.poll(async () => (await fetch(of(''))).status, { timeout: 30_000 }).toBe(200);

    const count = await macrosOf(round);
    expect([0, MACROS]).toContain(count);
    const isSaved = saved?.outcomes[0]?.kind === 'saved';
    if (isSaved) expect(count).toBe(MACROS);
    if (count > 0) whole += 1;
    const snapshot = (await snapshots()).find(({ name }) => name === `Round ${round}`);
    if (named) expect(snapshot).toBeDefined();
    // What is listed can be read, whole.
    if (snapshot) expect([0, MACROS]).toContain(await macrosOf(round, `/states/${snapshot.revision}`));

    // Back to how it began, killed as well: where it was answered it is so.
    const back = post('/back', { revision: 0, id: randomUUID(), author: WREN });
    await sleep((round * 11) % 90);
    if (round % 2 === 1) await app.kill();
    const went = await back;
    if (round % 2 === 1) await app.restart();
    await expect.poll(async () => (await fetch(of(''))).status, { timeout: 30_000 }).toBe(200);
    const left = await macrosOf(round);
    expect([0, count]).toContain(left);
    if (went) expect(left).toBe(0);
  }
  // Some came through, else nothing was shown.
  expect(whole).toBeGreaterThan(0);
});
