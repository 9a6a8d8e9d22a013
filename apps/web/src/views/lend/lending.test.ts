import type { Desk, Heard, Said } from '@nimble-lever/core/desks';
import fc from 'fast-check';
import { LiveLine } from '../../app/setup/liveLine.ts';
import { Lending, type LendingState } from './lending.ts';

const desk: Desk = {
  id: '00000000-0000-4000-8000-000000000001',
  name: 'Studio desk',
  kind: 'practice',
  can: ['keys'],
};
const down = { kind: 'down', device: 'pedals', control: 'left' } as const;
const up = { ...down, kind: 'up' } as const;

/** Lending on a line made by hand. */
function lending() {
  const line = new LiveLine();
  const said: Said[] = [];
  let state: LendingState | null = null;
  const own = new Lending(
    line,
    'Laptop',
    (next) => {
      state = next;
    },
    () => 7,
  );
  own.open();
  return {
    own,
    line,
    said,
    state: () => state,
    opens: () => line.opened((text) => said.push(JSON.parse(text))),
    hears: (message: Heard) => line.heard(JSON.parse(JSON.stringify(message))),
    kinds: () => said.map(({ kind }) => kind),
  };
}

test('devices are lent once there is a server, and used once there is a desk', () => {
  const { own, said, state, opens, hears, kinds } = lending();
  own.lend(null, ['pedals']);
  expect(own.use(down)).toBe(false);
  opens();
  expect(kinds()).toEqual(['which-desks', 'join']);
  expect(said[1]).toEqual({
    kind: 'join',
    desk: null,
    name: 'Laptop',
    devices: ['pedals'],
    watches: 'account',
  });
  hears({ kind: 'desks', desks: [desk] });
  expect(own.use(down)).toBe(false);
  hears({ kind: 'joined', desk });
  expect(state()).toMatchObject({ desks: [desk], at: desk });
  expect(own.use(down)).toBe(true);
  expect(said.at(-1)).toEqual({ kind: 'input', seq: 1, t: 7, input: down });
  // What is not lent is not used, and what is not down does not come up.
  expect(own.use({ ...down, device: 'pen-tablet' })).toBe(false);
  expect(own.use(up)).toBe(true);
  expect(own.use(up)).toBe(false);
});

test('what is down comes up when another window has the keyboard', () => {
  const { own, said, opens, hears } = lending();
  opens();
  own.lend(desk.id, ['pedals']);
  hears({ kind: 'joined', desk });
  own.use(down);
  own.letGo();
  own.letGo();
  expect(said.slice(-2)).toMatchObject([{ input: down }, { input: up }]);
});

test('after an outage it joins again by itself; what was used meanwhile is not sent', () => {
  const { own, line, opens, hears, kinds, state } = lending();
  opens();
  own.lend(null, ['pedals']);
  hears({ kind: 'joined', desk });
  own.use(down);
  line.lost();
  expect(state()).toMatchObject({ isOpen: false, at: null, desks: [] });
  expect(own.use(up)).toBe(false);
  opens();
  expect(kinds()).toEqual(['which-desks', 'join', 'input', 'which-desks', 'join']);
});

test('the account is kept newest first, and not for ever', () => {
  const { opens, hears, state } = lending();
  opens();
  const lineOf = (did: string) => ({ subject: 'Pedals', did, sent: ['Space'], why: '' });
  hears({ kind: 'account', lines: [lineOf('one'), lineOf('two')] });
  for (let i = 0; i < 60; i++) hears({ kind: 'account', lines: [lineOf(`more ${i}`)] });
  const lines = state()?.lines ?? [];
  expect(lines).toHaveLength(40);
  expect(lines[0]?.did).toBe('more 59');
  expect(new Set(lines.map(({ key }) => key)).size).toBe(40);
});

test('whatever comes, nothing is sent of a device that is not lent, nor up that was not down', () => {
  const act = fc.oneof(
    fc.record({ kind: fc.constantFrom('down', 'up'), device: fc.constantFrom('pedals', 'pad') }),
    fc.record({ kind: fc.constantFrom('opens', 'lost', 'joined', 'gone', 'letGo', 'stop') }),
    fc.record({ kind: fc.constant('lend'), devices: fc.subarray(['pedals', 'pad']) }),
  );
  fc.assert(
    fc.property(fc.array(act, { maxLength: 50 }), (acts) => {
      const { own, line, said, opens, hears } = lending();
      const held = new Set<string>();
      let lent: readonly string[] = [];
      let heard = 0;
      for (const each of acts) {
        if (each.kind === 'opens') opens();
        else if (each.kind === 'lost') line.lost();
        else if (each.kind === 'joined') hears({ kind: 'joined', desk });
        else if (each.kind === 'gone') hears({ kind: 'gone' });
        else if (each.kind === 'letGo') own.letGo();
        else if (each.kind === 'stop') own.stop();
        else if ('devices' in each) own.lend(null, each.devices);
        else if ('device' in each) {
          own.use({ kind: each.kind as 'down' | 'up', device: each.device, control: 'left' });
        }
        if (each.kind === 'stop') lent = [];
        if ('devices' in each) lent = each.devices;
        for (const message of said.slice(heard)) {
          if (message.kind !== 'input') {
            held.clear();
            continue;
          }
          expect(lent).toContain(message.input.device);
          if (message.input.kind === 'up') expect(held.delete(message.input.device)).toBe(true);
          else held.add(message.input.device);
        }
        heard = said.length;
        if (['lost', 'joined', 'gone'].includes(each.kind)) held.clear();
      }
    }),
  );
});
