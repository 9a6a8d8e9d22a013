import { FREE_OF_ALL, FREE_TRIES, TryingCodes } from './tryingCodes.ts';

function trying() {
  const clock = { now: 0 };
  const codes = new TryingCodes(() => clock.now);
  /** Types a wrong code as soon as one is looked at; says how long that took. */
  const wrong = (address: string) => {
    const waited = codes.waits(address);
    clock.now += waited;
    if (waited > 0) expect(codes.waits(address)).toBe(0);
    codes.wasWrong(address);
    return waited;
  };
  return { clock, codes, wrong };
}

test('five slips cost nothing, each one more waits twice as long, up to a minute; two minutes later all is forgotten', () => {
  const { clock, codes, wrong } = trying();
  for (let n = 0; n < FREE_TRIES; n++) expect(wrong('10.0.0.9')).toBe(0);
  expect(Array.from({ length: 5 }, () => wrong('10.0.0.9'))).toEqual([1000, 2000, 4000, 8000, 16_000]);
  // Nobody else waits for that.
  expect(codes.waits('10.0.0.8')).toBe(0);
  expect(codes.waits('10.0.0.9')).toBe(32_000);
  clock.now += 121_000;
  for (let n = 0; n < FREE_TRIES; n++) expect(wrong('10.0.0.9')).toBe(0);
});

test('however many senders there are, two minutes are not enough to guess', () => {
  const { clock, codes } = trying();
  let looked = 0;
  for (let n = 0; clock.now < 120_000; n++) {
    clock.now += 10;
    const address = `10.0.${n % 250}.${Math.floor(n / 250)}`;
    if (codes.waits(address) > 0) continue;
    looked += 1;
    codes.wasWrong(address);
  }
  expect(looked).toBeLessThanOrEqual(FREE_OF_ALL + 121);
});

test.each([
  ['2001:db8::1', '2001:db8:0:0:5:6:7:8', true],
  ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2:9:9:9:9', true],
  ['2001:db8:1:2::1', '2001:db8:1:3::1', false],
  ['::ffff:10.0.0.1', '::ffff:10.0.0.2', false],
])('%s and %s are one sender: %s', (one, other, same) => {
  const { codes, wrong } = trying();
  for (let n = 0; n < FREE_TRIES; n++) wrong(one);
  expect(codes.waits(other) > 0).toBe(same);
});
