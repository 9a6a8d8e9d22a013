import {
  type Desk,
  type Heard,
  type Input,
  MOST_MESSAGE_BYTES,
  type Remote,
  type Said,
} from '@nimble-lever/core/desks';
import fc from 'fast-check';
import type { Peer } from './hub.ts';
import { BEAT_MS, OtherServers } from './otherServers.ts';
import { MOST_NOTIFIED, readWire } from './wire.ts';

const id = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const desk = (n: number): Desk => ({ id: id(n), name: `Desk ${n}`, kind: 'practice', can: ['keys'] });
const join = (wish: string | null = null): Said => ({
  kind: 'join',
  desk: wish,
  name: 'Tablet',
  devices: ['pad'],
});
const pressed = (kind: 'down' | 'up', control = 'key-1'): Input => ({ kind, device: 'pad', control });
const press = (seq: number, kind: 'down' | 'up' = 'down'): Said => ({
  kind: 'input',
  seq,
  t: seq,
  input: pressed(kind),
});

/** Servers of one database, by a wire made by hand: what is said is heard when it is let through, in order. */
function servers(count: number) {
  let now = 0;
  const waiting: string[] = [];
  const isUp = Array.from({ length: count }, () => true);
  const sizes: number[] = [];
  const all = isUp.map((_, i) => {
    const say = (text: string) => {
      sizes.push(Buffer.byteLength(text));
      if (isUp[i]) waiting.push(text);
    };
    return new OtherServers({ say, waiting: () => 0 }, () => now);
  });
  const settle = () => {
    for (let text = waiting.shift(); text !== undefined; text = waiting.shift()) {
      for (const [i, each] of all.entries()) if (isUp[i]) each.heard(text);
    }
  };
  for (const each of all) each.opened();
  settle();
  return {
    all,
    settle,
    sizes,
    /** Time goes by, with beats. */
    beats: (beats: number, who = all) => {
      for (let i = 0; i < beats; i++) {
        now += BEAT_MS;
        for (const each of who) each.beat();
        settle();
      }
    },
    cut: (i: number) => {
      isUp[i] = false;
      all[i]?.lost();
      settle();
    },
    /** It does not notice that nobody hears it. */
    stall: (i: number) => {
      isUp[i] = false;
    },
    back: (i: number) => {
      isUp[i] = true;
      all[i]?.opened();
      settle();
    },
  };
}

/** Someone at a server. */
function someone(server: OtherServers | undefined, settle: () => void) {
  const told: Heard[] = [];
  const peer: Peer = {
    setUp: 'saltmarsh',
    rights: { may: 'everything' },
    most: MOST_MESSAGE_BYTES,
    isBusy: () => false,
    send: (message) => told.push(message),
  };
  return {
    told,
    kinds: () => told.map(({ kind }) => kind),
    says: (said: Said) => {
      const outcome = server?.hub.heard(peer, JSON.stringify(said));
      settle();
      return outcome;
    },
    goes: () => {
      server?.hub.gone(peer);
      settle();
    },
  };
}
const joinedRemote = (told: readonly Heard[]): Remote | null => {
  const found = told.findLast((message) => message.kind === 'remote-joined');
  return found?.kind === 'remote-joined' ? found.remote : null;
};

test('a press at one server reaches the desk at another, and what it says the remote', () => {
  const { all, settle, sizes } = servers(2);
  const own = someone(all[0], settle);
  const tablet = someone(all[1], settle);
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  expect(tablet.told).toEqual([{ kind: 'joined', desk: desk(1) }]);
  const remote = joinedRemote(own.told);
  tablet.says(press(1));
  tablet.says(press(2, 'up'));
  expect(own.told.slice(1)).toEqual([
    { kind: 'remote-input', remote: remote?.id, seq: 1, t: 1, input: pressed('down') },
    { kind: 'remote-input', remote: remote?.id, seq: 2, t: 2, input: pressed('up') },
  ]);
  own.says({ kind: 'done', remote: remote?.id ?? '', seq: 1 });
  own.says({ kind: 'shows', remote: remote?.id ?? '', device: 'pad', shows: { front: 'Larkframe' } });
  expect(tablet.kinds()).toEqual(['joined', 'done', 'shows']);
  tablet.goes();
  expect(own.told.at(-1)).toEqual({ kind: 'remote-left', remote: remote?.id });
  expect(Math.max(...sizes)).toBeLessThan(MOST_NOTIFIED);
});

test('a remote that waits joins a desk wherever one comes, and leaves with it', () => {
  const { all, settle } = servers(3);
  const tablet = someone(all[2], settle);
  tablet.says(join());
  const own = someone(all[0], settle);
  own.says({ kind: 'here', desk: desk(1) });
  const newer = someone(all[1], settle);
  newer.says({ kind: 'here', desk: desk(2) });
  expect(tablet.kinds()).toEqual(['gone', 'joined']);
  own.says({ kind: 'away' });
  expect(tablet.told.at(-1)).toEqual({ kind: 'joined', desk: desk(2) });
  newer.goes();
  expect(tablet.kinds()).toEqual(['gone', 'joined', 'gone', 'joined', 'gone']);
});

test('without a choice it is the desk that was used last, at whichever server', () => {
  const { all, settle, beats } = servers(3);
  const one = someone(all[0], settle);
  const two = someone(all[1], settle);
  one.says({ kind: 'here', desk: desk(1) });
  two.says({ kind: 'here', desk: desk(2) });
  const first = someone(all[2], settle);
  first.says(join(id(1)));
  first.says(press(1));
  beats(1);
  const second = someone(all[1], settle);
  second.says(join());
  expect(second.told.at(-1)).toEqual({ kind: 'joined', desk: desk(1) });
});

test('a desk whose page comes back at another server is there, and its remotes with it', () => {
  const { all, settle, beats } = servers(2);
  const old = someone(all[0], settle);
  const tablet = someone(all[1], settle);
  old.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  const again = someone(all[1], settle);
  again.says({ kind: 'here', desk: desk(1) });
  beats(2);
  tablet.says(press(1));
  expect(again.kinds()).toEqual(['remote-joined', 'remote-input']);
  expect(old.kinds()).toEqual(['remote-joined', 'remote-left']);
});

test('a server that ends without a word takes its remotes along, and its desks', () => {
  const { all, settle, beats, stall } = servers(2);
  const own = someone(all[0], settle);
  const other = someone(all[1], settle);
  own.says({ kind: 'here', desk: desk(1) });
  other.says(join());
  other.says(press(1));
  stall(1);
  beats(3, all.slice(0, 1));
  expect(own.kinds()).toEqual(['remote-joined', 'remote-input']);
  beats(1, all.slice(0, 1));
  expect(own.kinds()).toEqual(['remote-joined', 'remote-input', 'remote-left']);
});

test('one that was taken for gone joins again with its next press, which itself is not carried out', () => {
  const { all, settle, beats, stall, back } = servers(2);
  const own = someone(all[0], settle);
  const tablet = someone(all[1], settle);
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  stall(1);
  beats(4, all.slice(0, 1));
  expect(own.kinds()).toEqual(['remote-joined', 'remote-left']);
  // Heard again, without having noticed.
  back(1);
  tablet.says(press(1));
  expect(own.kinds().filter((kind) => kind === 'remote-input')).toEqual([]);
  tablet.says(press(2));
  expect(own.told.at(-1)).toMatchObject({ kind: 'remote-input', seq: 2 });
  expect(tablet.kinds()).toEqual(['joined', 'gone', 'joined']);
});

test('while the wire is away nobody is at a far desk; afterwards all is as it was', () => {
  const { all, settle, cut, back, beats } = servers(2);
  const own = someone(all[0], settle);
  const tablet = someone(all[1], settle);
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  cut(0);
  beats(4);
  expect(own.kinds()).toEqual(['remote-joined', 'remote-left']);
  expect(tablet.kinds()).toEqual(['joined', 'gone']);
  tablet.says(press(1));
  back(0);
  expect(tablet.kinds()).toEqual(['joined', 'gone', 'joined']);
  tablet.says(press(2));
  expect(own.told.at(-1)).toMatchObject({ kind: 'remote-input', seq: 2 });
});

test('what is too large for the wire is refused in words', () => {
  const { all, settle } = servers(2);
  const own = someone(all[0], settle);
  const tablet = someone(all[1], settle);
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  const faces = Object.fromEntries(
    Array.from({ length: 90 }, (_, i) => [
      `key-${i}`,
      {
        label: 'x'.repeat(12),
        icon: null,
        colour: null,
        picture: null,
        does: 'y'.repeat(40),
        on: false,
        queued: 0,
      },
    ]),
  );
  const remote = joinedRemote(own.told)?.id ?? '';
  const outcome = own.says({ kind: 'shows', remote, device: 'pad', shows: { faces } });
  expect(outcome).toMatchObject({ kind: 'refused', detail: expect.stringContaining('at most 7600 bytes') });
  expect(tablet.kinds()).toEqual(['joined']);
});

test.each([
  '',
  '{',
  '{"version":2}',
  '{"version":1,"from":"x"}',
  JSON.stringify({ version: 2, say: { kind: 'hop' } }),
])('what is no message of this version is not heard: %j', (text) => {
  expect(readWire(text)).toBeNull();
  const { all } = servers(1);
  expect(() => all[0]?.heard(text)).not.toThrow();
});

test('whoever comes, goes, stalls and is cut off, at three servers: no key is down when all have gone', () => {
  const act = fc.record({
    who: fc.nat(5),
    what: fc.constantFrom('here', 'away', 'join', 'leave', 'gone', 'down', 'up', 'cut', 'back', 'beat'),
  });
  fc.assert(
    fc.property(fc.array(act, { maxLength: 80 }), (acts) => {
      const world = servers(3);
      const { all, settle } = world;
      const people = Array.from({ length: 6 }, (_, i) => someone(all[i % 3], settle));
      for (const [i, { who, what }] of acts.entries()) {
        const own = people[who];
        if (what === 'here') own?.says({ kind: 'here', desk: desk(who) });
        else if (what === 'join') own?.says(join());
        else if (what === 'down' || what === 'up') own?.says(press(i, what));
        else if (what === 'gone') own?.goes();
        else if (what === 'cut') world.cut(who % 3);
        else if (what === 'back') world.back(who % 3);
        else if (what === 'beat') world.beats(1);
        else own?.says({ kind: what });
      }
      for (const i of all.keys()) world.back(i);
      const desks = people.filter(({ told }) => told.some(({ kind }) => kind === 'remote-joined'));
      for (const { goes, told } of people) if (!desks.some((each) => each.told === told)) goes();
      world.beats(5);
      for (const each of desks) each.says({ kind: 'away' });
      for (const { told } of desks) {
        const there = new Set<string>();
        for (const message of told) {
          if (message.kind === 'remote-joined') there.add(message.remote.id);
          else if (message.kind === 'remote-left') there.delete(message.remote);
          else if (message.kind === 'remote-input') expect(there).toContain(message.remote);
        }
        // Who has left has nothing down: the desk sees to that.
        expect([...there]).toEqual([]);
      }
    }),
    { numRuns: 300 },
  );
});
