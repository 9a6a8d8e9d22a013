import { reachedSchema } from '@nimble-lever/core/desks';
import { reached } from './reached.ts';

test.each([
  ['127.0.0.1', [], 'loopback', []],
  ['localhost', ['studio.local'], 'loopback', []],
  ['::1', [], 'loopback', []],
  ['0.0.0.0', [], 'network', []],
  [
    '0.0.0.0',
    ['192.0.2.7', 'studio.local'],
    'network',
    ['http://192.0.2.7:4680', 'http://studio.local:4680'],
  ],
] as const)('listening on %s, answering to %j: %s, %j', (HOST, names, listens, addresses) => {
  const told = reached({ HOST, ACCESS: 'open' }, names, 4680);
  expect(reachedSchema.parse(told)).toMatchObject({ listens, addresses, asksForKey: false });
  // What only this computer reaches is no address to give away.
  expect(told.own.filter((address) => address.startsWith('127.'))).toEqual([]);
});

test('a key that is asked for is told, and not which', () => {
  expect(reached({ HOST: '0.0.0.0', ACCESS: 'key' }, [], 1).asksForKey).toBe(true);
});
