import type { LogEntry } from '@nimble-lever/core/setup';
import { HistoryReader } from './historyReader.ts';

const WREN = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren' };

/** A server with a log that grows, a page of which holds so many edits; it may be away. */
class SmallLog {
  readonly asked: string[] = [];
  isAway = false;
  constructor(
    public length: number,
    private readonly page = 10,
  ) {}

  readonly moments = async (after: number) => {
    this.#ask(`moments ${after}`);
    return Array.from({ length: this.length - after }, (_, i) => ({
      revision: after + i + 1,
      at: 0,
      author: WREN,
    }));
  };

  readonly before = async (revision: number, most: number) => {
    this.#ask(`before ${revision}`);
    const from = Math.max(1, revision - Math.min(most, this.page));
    const count = Math.min(revision - 1, this.length) - from + 1;
    const entries = Array.from({ length: count }, (_, i) => ({ revision: from + i }) as LogEntry);
    return { entries };
  };

  #ask(what: string): void {
    this.asked.push(what);
    if (this.isAway) throw new Error('The server does not answer.');
  }
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 5));
const newReader = (log: SmallLog) => new HistoryReader(log, ({ revision }) => revision * 2);

test('all moments are read at once, edits only where they are looked at', async () => {
  const log = new SmallLog(100_000);
  const reader = newReader(log);
  reader.upTo(100_000);
  await settled();
  expect(reader.known().moments).toHaveLength(100_000);
  reader.want(49_985, 50_000);
  await settled();
  expect(log.asked).toEqual(['moments 0', 'before 50001', 'before 49991']);
  expect([49_985, 50_000].map((revision) => reader.known().entries.has(revision))).toEqual([true, true]);
});

test('what is saved meanwhile comes too, once', async () => {
  const log = new SmallLog(3);
  const reader = newReader(log);
  reader.upTo(3);
  await settled();
  log.length = 1200;
  reader.upTo(1200);
  reader.upTo(4);
  await settled();
  expect(reader.known().moments?.map(({ revision }) => revision)).toEqual(
    Array.from({ length: 1200 }, (_, i) => i + 1),
  );
  expect(log.asked).toEqual(['moments 0', 'moments 3']);
});

test('looking through reads each edit once, goes on where it was stopped, and what is seen comes first', async () => {
  const log = new SmallLog(40);
  const reader = newReader(log);
  reader.upTo(40);
  reader.lookThrough(true);
  reader.want(1, 5);
  await settled();
  expect(log.asked.slice(0, 3)).toEqual(['moments 0', 'before 6', 'before 41']);
  expect(reader.known().digests.size).toBe(40);
  const asked = log.asked.length;
  log.length = 45;
  reader.lookThrough(false);
  reader.upTo(45);
  await settled();
  expect(reader.known().digests.size).toBe(40);
  reader.lookThrough(true);
  await settled();
  expect(reader.known().digests.get(45)).toBe(90);
  expect(log.asked.slice(asked)).toEqual(['moments 40', 'before 46']);
});

test('a failure is told, and is tried again when asked; nothing is asked for meanwhile', async () => {
  const log = new SmallLog(20);
  log.isAway = true;
  const reader = newReader(log);
  reader.upTo(20);
  await settled();
  expect(reader.known().failed).toBe('The server does not answer.');
  reader.want(1, 20);
  await settled();
  expect(log.asked).toEqual(['moments 0']);
  log.isAway = false;
  reader.again();
  await settled();
  expect(reader.known()).toMatchObject({ failed: null });
  expect(reader.known().entries.size).toBe(20);
});

test('a log that is shorter than was said is no reason to ask for ever', async () => {
  const log = new SmallLog(5);
  const reader = newReader(log);
  reader.upTo(9);
  reader.want(1, 9);
  await settled();
  expect(log.asked).toEqual(['moments 0', 'before 6']);
});

test('only so many edits are kept at hand; of all of them the little that is looked for by', async () => {
  const log = new SmallLog(9000, 500);
  const reader = newReader(log);
  reader.upTo(9000);
  reader.lookThrough(true);
  await settled();
  await settled();
  expect(reader.known().digests.size).toBe(9000);
  expect(reader.known().entries.size).toBe(5000);
  expect(reader.known().entries.has(1)).toBe(true);
});
