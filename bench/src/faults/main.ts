// Faults while pages edit: `npm run soak -- --faults --minutes 5`. At the end nothing that was acknowledged may be lost,
// and what is held open must be what it was. `--seed` does the same faults again.
import { parseArgs } from 'node:util';
import { FAULTS, type FaultName, randomFrom } from './kinds.ts';
import { sleep, World } from './world.ts';

const { values } = parseArgs({
  options: {
    faults: { type: 'boolean' },
    minutes: { type: 'string', default: '2' },
    /** The longest any fault lasts: seconds. */
    longest: { type: 'string', default: '60' },
    pages: { type: 'string', default: '4' },
    seed: { type: 'string', default: String(Date.now() % 1_000_000) },
  },
});
/** All must be saved by then: pages wait up to a minute between two tries. After it a few handles more may be open. */
const SETTLE_MS = 120_000;
const MORE_FDS = 8;
/** Idle connections are closed well before. */
const REST_MS = 60_000;
// Printed with the result: the same seed meets the same faults.
const seed = Number(values.seed);
const random = randomFrom(seed);
const problems: string[] = [];
/** Notes what does not hold, and goes on: one run finds all of it. */
const check = (holds: boolean, what: string) => {
  if (!holds) problems.push(what);
};

/** Waits until something holds, for so long at most. */
async function until(holds: () => Promise<boolean> | boolean, ms: number): Promise<boolean> {
  for (const end = Date.now() + ms; Date.now() < end; await sleep(200)) if (await holds()) return true;
  return false;
}

const world = await World.open(Number(values.pages));
if (!world.hasSmallDisk) console.log('· This account may not make a small disk, so that none is filled.');
try {
  check(
    await until(() => world.pages.every(({ saved }) => saved.size > 5), SETTLE_MS),
    'The pages did not begin.',
  );
  const before = await world.held();
  const names = Object.keys(FAULTS) as FaultName[];
  const done = new Map<FaultName, number>();
  const end = Date.now() + Number(values.minutes) * 60_000;
  // Each kind once, then any.
  for (let i = 0; Date.now() < end || i < names.length; i++) {
    const name =
      i < names.length ? (names[i] as FaultName) : (names[Math.floor(random() * names.length)] as FaultName);
    const { longest, run } = FAULTS[name];
    const most = Math.min(longest, Number(values.longest) * 1000);
    const ms = Math.round(most > 0 ? Math.max(Math.min(1000, most), random() * most) : 0);
    console.log(`· ${name}${ms > 0 ? ` for ${(ms / 1000).toFixed(1)} s` : ''}`);
    await run(world, ms, random);
    done.set(name, (done.get(name) ?? 0) + 1);
    await sleep(1000 + random() * 3000);
  }

  console.log('· Quiet again; waiting until all is saved…');
  for (const { child } of world.pages) child.send('stop');
  check(await until(() => world.health(), SETTLE_MS), 'The server did not come back.');
  const settled = () => {
    const [first] = world.pages;
    return world.pages.every(
      ({ state }) => state?.pending === 0 && state.revision === first?.state?.revision,
    );
  };
  check(
    await until(settled, SETTLE_MS),
    `Not all was saved: ${JSON.stringify(world.pages.map(({ state }) => state))}`,
  );

  const rows = await world.ask<{ id: string }>('SELECT id FROM edits');
  const there = new Set(rows.map(({ id }) => id));
  check(rows.length === there.size, 'An edit is there twice.');
  const made = new Set(world.pages.flatMap((page) => [...page.made]));
  const saved = world.pages.flatMap((page) => [...page.saved]);
  const dropped = new Set(world.pages.flatMap((page) => [...page.dropped]));
  const lost = saved.filter((id) => !there.has(id));
  check(lost.length === 0, `${lost.length} acknowledged edits are lost.`);
  const missing = [...made].filter((id) => !there.has(id) && !dropped.has(id));
  check(
    missing.length === 0,
    `${missing.length} edits that were made are neither saved nor said to be dropped.`,
  );
  const [note] = await world.ask<{ notes: string[] }>(
    `SELECT array_agg(note ORDER BY control) AS notes FROM bindings WHERE profile = 'hushbox' AND device = 'twelve-pad' AND note ~ '^[0-9]+:'`,
  );
  for (const { state } of world.pages) {
    check(
      state?.note === null || note?.notes?.includes(state?.note ?? '') === true,
      `A page shows ${state?.note}, the database has not.`,
    );
  }

  // What was opened meanwhile is closed again: idle connections go after ten seconds. At any one moment there may be one
  // more, as the server looks after itself; what is never closed stays.
  let after = await world.held();
  const isClosed = async () => {
    after = await world.held();
    return after.connections <= before.connections;
  };
  check(
    await until(isClosed, REST_MS),
    `Connections: ${before.connections} before, ${after.connections} after.`,
  );
  check(after.fds <= before.fds + MORE_FDS, `Open handles: ${before.fds} before, ${after.fds} after.`);
  const all = [...done].map(([name, count]) => `${name} ${count}×`).join(', ');
  console.log(`${rows.length} edits saved, ${dropped.size} dropped with a word; ${all}.`);
  console.log(
    `Connections ${before.connections} → ${after.connections}, handles ${before.fds} → ${after.fds}.`,
  );
} finally {
  await world.close();
}
for (const problem of problems) console.log(`FAILED: ${problem}`);
console.log(
  problems.length === 0
    ? 'Nothing was lost.'
    : `The same faults again: npm run soak -- --faults --seed ${seed}`,
);
process.exit(problems.length === 0 ? 0 : 1);
