import path from 'node:path';
import sharp from 'sharp';
import { Problem } from '../problem/problem.ts';
import { PictureProcesses } from './pictureProcesses.ts';

const program = path.join(__dirname, 'pictureProcess.ts');
const small = () =>
  sharp({ create: { width: 30, height: 20, channels: 3, background: '#3366cc' } })
    .png()
    .toBuffer();
/** A drawing that is allowed, and takes many seconds: large strokes with gaps, one over the other. */
const long = Buffer.from(
  `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900">${'<circle cx="450" cy="450" r="400" fill="none" stroke="#00000002" stroke-width="90" stroke-dasharray="0.2 0.3"/>'.repeat(15_000)}</svg>`,
);
const open: PictureProcesses[] = [];
const processes = (...more: [] | [{ time: number; memory: number }]) => {
  const made = new PictureProcesses(program, ...more);
  open.push(made);
  return made;
};
afterEach(() => {
  for (const each of open.splice(0)) each.close();
});
const prepare = (given: Uint8Array) => ({ kind: 'prepare', use: 'face', given }) as const;
const detailOf = (work: Promise<unknown>) =>
  work.then(
    () => 'kept',
    (error: unknown) => (error instanceof Problem ? error.detail : String(error)),
  );

test('others do not wait behind a picture that takes for ever; closed, it is ended at once', async () => {
  const own = processes();
  let isOver = false;
  const held = detailOf(own.ask(prepare(long))).finally(() => {
    isOver = true;
  });
  const given = await small();
  for (let n = 0; n < 3; n++) expect(await own.ask(prepare(given))).toMatchObject({ width: 30, height: 20 });
  expect(isOver).toBe(false);
  own.close();
  expect(await held).toContain('Nothing was changed.');
});

test('what takes too long or too much memory is killed, says so, and the next one is made ready', async () => {
  const slow = processes({ time: 1, memory: 1e9 });
  expect(await detailOf(slow.ask(prepare(long)))).toContain('takes longer than 10 seconds');
  const large = processes({ time: 60_000, memory: 1e6 });
  expect(await detailOf(large.ask(prepare(long)))).toContain('too much memory');
  const own = processes();
  expect(await detailOf(own.ask(prepare(Buffer.from('hello'))))).toContain('This is not a picture');
  const kept = await own.ask(prepare(await small()));
  expect(await own.ask({ kind: 'check', id: kept.id, given: kept.bytes })).toEqual({
    ...kept,
    kind: 'picture',
  });
});

test('more than can wait are asked to come again', async () => {
  const own = processes();
  const all = Array.from({ length: 60 }, () => detailOf(own.ask(prepare(long))));
  expect(await all[59]).toContain('choose it again in a minute');
  own.close();
  await Promise.all(all);
});
