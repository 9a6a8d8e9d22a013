import {
  type Desk,
  type Heard,
  heardSchema,
  MOST_MESSAGE_BYTES,
  MOST_MESSAGES,
  type Rights,
  type Said,
} from '@nimble-lever/core/desks';
import fc from 'fast-check';
import { Hub, type Peer } from './hub.ts';

const id = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const desk = (n: number): Desk => ({ id: id(n), name: `Desk ${n}`, kind: 'practice', can: ['keys'] });

/** Someone at the hub, who keeps what it hears. */
function someone(hub: Hub, setUp = 'saltmarsh', rights: Rights = { may: 'everything' }) {
  const told: Heard[] = [];
  let busy = false;
  const peer: Peer = {
    setUp,
    rights,
    isBusy: () => busy,
    most: MOST_MESSAGE_BYTES,
    send: (message) => told.push(message),
  };
  return {
    peer,
    told,
    kinds: () => told.map(({ kind }) => kind),
    says: (said: Said) => hub.heard(peer, JSON.stringify(said)),
    goes: () => hub.gone(peer),
    setBusy: (next: boolean) => {
      busy = next;
    },
  };
}

const join = (wish: string | null = null): Said => ({
  kind: 'join',
  desk: wish,
  name: 'Tablet',
  devices: ['pad'],
});
const press = (seq: number, kind: 'down' | 'up' = 'down'): Said => ({
  kind: 'input',
  seq,
  t: seq,
  input: { kind, device: 'pad', control: 'key-1' },
});
const slide = (seq: number, value: number): Said => ({
  kind: 'input',
  seq,
  t: seq,
  input: { kind: 'position', device: 'pad', control: 'lift', value },
});

test('a press goes to the desk, what the desk shows goes to the remote, and to nobody else', () => {
  const hub = new Hub();
  const [own, tablet, other, stranger] = [someone(hub), someone(hub), someone(hub), someone(hub, 'other')];
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  other.says(join());
  stranger.says(join());
  expect(tablet.told).toEqual([{ kind: 'joined', desk: desk(1) }]);
  expect(stranger.kinds()).toEqual(['gone']);
  const [first] = own.told;
  const remote = first?.kind === 'remote-joined' ? first.remote.id : '';
  tablet.says(press(7));
  expect(own.told.at(-1)).toEqual({
    kind: 'remote-input',
    remote,
    seq: 7,
    t: 7,
    input: { kind: 'down', device: 'pad', control: 'key-1' },
  });
  own.says({ kind: 'shows', remote, device: 'pad', shows: { front: 'Larkframe' } });
  own.says({ kind: 'done', remote, seq: 7 });
  expect(tablet.kinds()).toEqual(['joined', 'shows', 'done']);
  expect(other.kinds()).toEqual(['joined']);
  tablet.goes();
  expect(own.told.at(-1)).toEqual({ kind: 'remote-left', remote });
  for (const message of [...own.told, ...tablet.told])
    expect(heardSchema.safeParse(message).success).toBe(true);
});

test('without a choice it is the desk that was used last; when that goes, another; and a wish waits', () => {
  const hub = new Hub();
  const [one, two, tablet, wishing] = [someone(hub), someone(hub), someone(hub), someone(hub)];
  one.says({ kind: 'here', desk: desk(1) });
  two.says({ kind: 'here', desk: desk(2) });
  wishing.says(join(id(1)));
  wishing.says(press(1));
  tablet.says(join());
  expect(tablet.told.at(-1)).toEqual({ kind: 'joined', desk: desk(1) });
  one.goes();
  expect(tablet.kinds()).toEqual(['joined', 'gone', 'joined']);
  expect(tablet.told.at(-1)).toEqual({ kind: 'joined', desk: desk(2) });
  // Nothing that is pressed while its desk is away is sent later.
  expect(wishing.kinds()).toEqual(['joined', 'gone']);
  wishing.says(press(2));
  const back = someone(hub);
  back.says({ kind: 'here', desk: desk(1) });
  expect(wishing.told.at(-1)).toEqual({ kind: 'joined', desk: desk(1) });
  expect(back.kinds()).toEqual(['remote-joined']);
});

test('a desk that comes back before its old connection is missed takes its place', () => {
  const hub = new Hub();
  const [old, tablet, again] = [someone(hub), someone(hub), someone(hub)];
  old.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  again.says({ kind: 'here', desk: desk(1) });
  expect(tablet.kinds()).toEqual(['joined', 'gone', 'joined']);
  old.goes();
  tablet.says(press(1));
  expect(again.kinds()).toEqual(['remote-joined', 'remote-input']);
});

test('a desk that is slow gets the newest value only, and every press in its order', () => {
  jest.useFakeTimers();
  const hub = new Hub();
  const [own, tablet] = [someone(hub), someone(hub)];
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  own.setBusy(true);
  for (let i = 1; i <= 50; i += 1) tablet.says(slide(i, i / 100));
  expect(own.kinds()).toEqual(['remote-joined']);
  tablet.says(press(51));
  for (let i = 52; i <= 60; i += 1) tablet.says(slide(i, i / 100));
  own.setBusy(false);
  jest.runOnlyPendingTimers();
  expect(own.told.slice(1)).toMatchObject([
    { seq: 50, input: { value: 0.5 } },
    { seq: 51 },
    { seq: 60, input: { value: 0.6 } },
  ]);
  jest.useRealTimers();
});

test.each<[string, string, string]>([
  ['no JSON', '{', 'no such message'],
  ['a kind nobody knows', '{"kind":"hop"}', 'no such message'],
  ['a press of nobody', JSON.stringify(press(1)), 'Join a desk first'],
  ['what only a desk says', JSON.stringify({ kind: 'done', remote: id(1), seq: 1 }), 'Only a desk'],
])('%s is refused in words', (_name, text, words) => {
  const hub = new Hub();
  const { peer } = someone(hub);
  const outcome = hub.heard(peer, text);
  expect(outcome.kind === 'refused' ? outcome.detail : '').toContain(words);
});

test('another’s device is refused; so is more than there may be in a second', () => {
  const hub = new Hub();
  const [own, tablet] = [someone(hub), someone(hub)];
  own.says({ kind: 'here', desk: desk(1) });
  tablet.says(join());
  const input = { kind: 'down', device: 'mouse', control: 'left' } as const;
  expect(tablet.says({ kind: 'input', seq: 1, t: 1, input }).kind).toBe('refused');
  const outcomes = Array.from({ length: MOST_MESSAGES * 2 + 2 }, (_, i) => tablet.says(press(i)).kind);
  expect(outcomes).toContain('too-many');
  // A desk answers all of its remotes.
  const answers = Array.from(
    { length: MOST_MESSAGES * 2 + 2 },
    (_, seq) => own.says({ kind: 'done', remote: id(9), seq }).kind,
  );
  expect(answers).not.toContain('too-many');
});

test('whoever comes and goes in whatever order: a desk hears only of remotes that are there, each once', () => {
  const act = fc.record({
    who: fc.nat(3),
    what: fc.constantFrom('here', 'away', 'join', 'leave', 'gone', 'press'),
  });
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const hub = new Hub();
      const all = [0, 1, 2, 3].map(() => someone(hub));
      for (const [i, { who, what }] of acts.entries()) {
        const own = all[who];
        if (what === 'here') own?.says({ kind: 'here', desk: desk(who) });
        else if (what === 'join') own?.says(join());
        else if (what === 'press') own?.says(press(i));
        else if (what === 'gone') own?.goes();
        else own?.says({ kind: what });
      }
      for (const { peer, told } of all) {
        if (!hub.has(peer)) continue;
        const there = new Set<string>();
        for (const message of told) {
          if (message.kind === 'remote-joined') {
            expect(there.has(message.remote.id)).toBe(false);
            there.add(message.remote.id);
          } else if (message.kind === 'remote-left') there.delete(message.remote);
          else if (message.kind === 'remote-input') expect(there).toContain(message.remote);
        }
      }
      for (const { goes } of all) goes();
      expect(all.some(({ peer }) => hub.has(peer))).toBe(false);
    }),
  );
});

test('with the rights of one panel only that is joined with, and nobody becomes a desk', () => {
  const hub = new Hub();
  const own = someone(hub);
  own.says({ kind: 'here', desk: desk(1) });
  const rights = { may: 'panel', setUp: 'saltmarsh', device: 'pad' } as const;
  const tablet = someone(hub, 'saltmarsh', rights);
  const refusal = { kind: 'refused', detail: 'This browser may use one panel only.' };
  const other: Said = { kind: 'join', desk: null, name: 'Tablet', devices: ['pad', 'dial'] };
  expect(tablet.says(other)).toEqual(refusal);
  expect(tablet.says({ kind: 'here', desk: desk(2) })).toEqual(refusal);
  expect(tablet.says({ kind: 'done', remote: id(1), seq: 1 })).toEqual(refusal);
  expect(own.told).toEqual([]);
  expect(tablet.says(join())).toEqual({ kind: 'taken' });
  expect(tablet.says(press(1))).toEqual({ kind: 'taken' });
  expect(own.kinds()).toEqual(['remote-joined', 'remote-input']);
  const strange = { ...press(2), input: { kind: 'down', device: 'dial', control: 'x' } } as Said;
  expect(tablet.says(strange)).toMatchObject({ kind: 'refused' });
});
