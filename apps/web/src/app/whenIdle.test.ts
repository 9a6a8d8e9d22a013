import { once, whenIdle } from './whenIdle.ts';

test('made once, when it is first asked for', () => {
  let times = 0;
  const make = once(() => {
    times += 1;
    return { times };
  });
  expect(times).toBe(0);
  expect(make()).toBe(make());
  expect(times).toBe(1);
});

test('without a browser that tells when it is idle, with the next turn; taken back, not at all', async () => {
  const done: string[] = [];
  whenIdle(() => done.push('a'));
  whenIdle(() => done.push('b'))();
  expect(done).toEqual([]);
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(done).toEqual(['a']);
});
