import { randomUUID } from 'node:crypto';
import { pictureOnFace } from '@nimble-lever/core/devices';
import { demoSetup } from '@nimble-lever/core/setup';
import { pino } from 'pino';
import { openDatabase } from '../database/dataSource.ts';
import { newDatabase } from '../testing/database.ts';
import { poolOf } from './database.ts';
import { PictureStore, UNUSED_DAYS } from './pictureStore.ts';
import { SetupStore } from './setupStore.ts';

const author = { id: randomUUID(), name: 'Bench' };
const picture = (digit: string) => ({
  id: digit.repeat(64),
  width: 1,
  height: 1,
  bytes: new Uint8Array([82, 73]),
});
const now = new Date('2026-03-01T12:00:00Z');
const days = (count: number) => new Date(now.getTime() + count * 86_400_000);

let store: SetupStore;
let pictures: PictureStore;
let close: () => Promise<void>;
beforeAll(async () => {
  const database = await newDatabase();
  const source = await openDatabase(database.url);
  store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
  await store.createFirst('own', demoSetup());
  pictures = new PictureStore(poolOf(source));
  close = async () => {
    await source.destroy();
    await database.drop();
  };
});
afterAll(() => close());

const set = async (at: string, fields: Readonly<Record<string, unknown>>) => {
  const entry = { id: randomUUID(), role: 'do', edit: { kind: 'set', at, fields }, author, base: 0 } as const;
  expect((await store.append('own', [entry]))?.outcomes).toMatchObject([{ kind: 'saved' }]);
};
const kept = async (digit: string) => (await pictures.read(picture(digit).id)) !== null;

test('a picture is kept once, and goes when nothing has referred to it for 30 days', async () => {
  for (const digit of ['1', '1', '2']) await pictures.add(picture(digit));
  const held = [picture('1').id, picture('2').id, picture('3').id];
  expect([...(await pictures.readAll(held)).keys()]).toEqual(held.slice(0, 2));
  await set('pages/shot', { 'face.picture': pictureOnFace(picture('1').id) });

  expect(await pictures.sweep(now)).toBe(0);
  expect(await pictures.sweep(days(UNUSED_DAYS - 1))).toBe(0);
  expect(await kept('2')).toBe(true);
  expect(await pictures.sweep(days(UNUSED_DAYS))).toBe(1);
  expect([await kept('1'), await kept('2')]).toEqual([true, false]);
});

test('one that is taken off a face stays for as long as undo can bring it back', async () => {
  await pictures.add(picture('4'));
  await set('pages/puppet', { 'face.picture': pictureOnFace(picture('4').id) });
  await set('pages/puppet', { 'face.picture': null });
  await pictures.sweep(now);
  expect(await pictures.sweep(days(400))).toBe(0);
  expect(await kept('4')).toBe(true);
});

test('one that is used again, or sent again, begins anew', async () => {
  for (const digit of ['5', '6']) await pictures.add(picture(digit));
  await pictures.sweep(now);
  await set('profiles/larkframe/bindings/shot/six-pad/key-1/press', {
    'face.picture': pictureOnFace(picture('5').id),
  });
  await pictures.add(picture('6'));
  await pictures.sweep(days(UNUSED_DAYS + 1));
  expect([await kept('5'), await kept('6')]).toEqual([true, true]);
});
