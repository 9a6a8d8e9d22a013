import fc from 'fast-check';
import { compile, INITIAL_STATE } from '../engine/index.ts';
import { demoSetup } from '../setup/index.ts';
import { arbitraryScenario, Counted, runAll } from '../testing/index.ts';
import { cannotDo, DESK_ABILITIES } from './abilities.ts';
import { heardSchema, type Panel, type ShownFace, saidSchema } from './messages.ts';
import { panelOf } from './panelOf.ts';
import { panelParts, panelWith, showsParts } from './parts.ts';
import { RemoteClock } from './remoteClock.ts';
import { SHOWS_NOTHING, showsAfter, showsChanged, showsOf } from './showsOf.ts';

const DESK = '6f1d5a0e-3c1b-4d36-9a53-0a3a2c1f6b10';

test('a hold that takes 250 ms at the remote takes 250 ms here, however long the network takes', () => {
  const clock = new RemoteClock();
  // The remote's clock is 10 s behind; messages take 5 ms at best and now and then 150 ms more.
  const came = (t: number, delay: number) => clock.timeOf(t, t + 10_000 + delay);
  came(0, 5);
  const down = came(1000, 155);
  const up = came(1250, 5);
  expect(up - down).toBe(250);
});

test('never later than it came, never back in time, and what lasts is as long as it was but for what cannot be known', () => {
  const delays = fc.array(fc.record({ after: fc.nat(3000), delay: fc.nat(400) }), {
    minLength: 1,
    maxLength: 60,
  });
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e9 }), delays, (apart, messages) => {
      const clock = new RemoteClock();
      let [t, lastCame, before] = [0, 0, Number.NEGATIVE_INFINITY];
      for (const { after, delay } of messages) {
        t += after;
        // What is sent later comes later: one connection keeps the order.
        const came = Math.max(lastCame, t + apart + delay);
        lastCame = came;
        const mapped = clock.timeOf(t, came);
        expect(mapped).toBeLessThanOrEqual(came);
        expect(mapped).toBeGreaterThanOrEqual(before);
        // Off by no more than the least that any message of the last minute took.
        expect(mapped).toBeGreaterThanOrEqual(t + apart);
        before = mapped;
      }
    }),
  );
});

test('a difference is forgotten after a minute: clocks drift', () => {
  const clock = new RemoteClock();
  clock.timeOf(0, 100);
  expect(clock.timeOf(30_000, 30_150)).toBe(30_100);
  expect(clock.timeOf(70_000, 70_150)).toBe(70_150);
});

test('changes that are told one after the other come to what is shown', () => {
  const counted = new Counted();
  fc.assert(
    fc.property(arbitraryScenario, ({ setup, happenings }) => {
      const [device] = setup.devices;
      if (!device) return counted.leftOut();
      counted.tried();
      let [told, shown] = [SHOWS_NOTHING, SHOWS_NOTHING];
      runAll(setup, happenings, (state, compiled) => {
        const next = showsOf(compiled, state, device);
        const changed = showsChanged(shown, next);
        if (changed) told = showsAfter(told, JSON.parse(JSON.stringify(changed)));
        expect(told).toEqual(next);
        shown = next;
        return state;
      });
    }),
    { numRuns: 30 },
  );
  counted.atLeast(0.9);
});

test('every panel of the demo, and all it shows, is a message', () => {
  const setup = demoSetup();
  const compiled = compile(setup);
  for (const device of setup.devices) {
    const panel = panelOf(setup, device, null);
    expect(heardSchema.safeParse({ kind: 'panel', panel, more: false }).success).toBe(true);
    const shows = showsOf(compiled, INITIAL_STATE, device);
    const message = { kind: 'shows', remote: DESK, device: device.id, shows };
    expect(saidSchema.safeParse(JSON.parse(JSON.stringify(message))).error?.issues ?? []).toEqual([]);
  }
});

test('the largest device, with the longest words, goes over in messages that are small enough, from one server to another too', () => {
  const setup = demoSetup();
  const [device] = setup.devices;
  const [control] = device?.controls ?? [];
  if (!device || !control) throw new Error('The demo has devices with controls.');
  const ids = Array.from({ length: 400 }, (_, i) => `control-${'x'.repeat(30)}-${i}`);
  const large = {
    ...device,
    controls: ids.map((id) => ({ ...control, id, name: 'ש'.repeat(80) })),
  };
  const panel = panelOf(setup, large, null);
  const parts = panelParts(panel);
  const face: ShownFace = {
    label: 'ש'.repeat(40),
    icon: 'play',
    colour: 'teal',
    picture: null,
    does: '“'.repeat(250),
    on: false,
    queued: 0,
  };
  const shows = {
    ...SHOWS_NOTHING,
    faces: Object.fromEntries(ids.map((id) => [id, face])),
    values: Object.fromEntries(ids.map((id) => [id, 0.123456789012])),
    // As many as there are fingers at it.
    down: ids.slice(0, 20),
  };
  const told = showsParts(shows);
  const bytes = (part: unknown) => Buffer.byteLength(JSON.stringify(part)) + 200;
  // Also from one server to another: PostgreSQL takes notifications of fewer than 8,000 bytes.
  expect(Math.max(...[...parts, ...told].map(bytes))).toBeLessThan(7600);
  expect(parts.reduce<Panel | null>(panelWith, null)).toEqual(panel);
  expect(told.reduce(showsAfter, SHOWS_NOTHING)).toEqual(shows);
});

test.each([
  ['no kind', {}],
  ['a kind nobody knows', { kind: 'hop' }],
  ['an event of another kind', { kind: 'input', seq: 1, t: 1, input: { kind: 'pin', profile: null } }],
  ['a front that a remote makes up', { kind: 'input', seq: 1, t: 1, input: { kind: 'front', window: null } }],
  [
    'a time that is none',
    { kind: 'input', seq: 1, t: -1, input: { kind: 'down', device: 'a', control: 'b' } },
  ],
  ['more than it says', { kind: 'leave', also: 'this' }],
  ['a remote with nothing', { kind: 'join', desk: null, name: 'Tablet', devices: [] }],
  [
    'a desk under a name of its own making',
    { kind: 'here', desk: { id: 'me', name: 'Desk', kind: 'practice', can: [] } },
  ],
  [
    'a desk that can do what nobody knows',
    {
      kind: 'here',
      desk: { id: '00000000-0000-4000-8000-000000000001', name: 'Desk', kind: 'practice', can: ['fly'] },
    },
  ],
])('a message with %s is none', (_name, message) => {
  expect(saidSchema.safeParse(message).success).toBe(false);
});

test('what a desk cannot do is told in words', () => {
  expect(cannotDo(DESK_ABILITIES)).toEqual([]);
  expect(cannotDo(['keys', 'text', 'pointer', 'programs'])).toEqual([
    'choose items of menus',
    'send control messages',
  ]);
});
