import { reachedSchema } from '@nimble-lever/core/desks';
import { Hosts } from '../access/hosts.ts';
import { reached } from './reached.ts';

test.each([
  ['127.0.0.1', '', false, 'loopback', []],
  ['localhost', 'studio.local', false, 'loopback', []],
  ['192.0.2.7', '', false, 'network', ['http://192.0.2.7:4680']],
  ['192.0.2.7', 'studio.local', true, 'network', ['https://studio.local:4680', 'https://192.0.2.7:4680']],
] as const)(
  'listening on %s, further “%s”, encrypted %s: %s, %j',
  (listensTo, names, isEncrypted, listens, addresses) => {
    const told = reached(new Hosts(listensTo, names), isEncrypted, 4680);
    expect(reachedSchema.parse(told)).toEqual({ listens, addresses, isEncrypted, port: 4680 });
  },
);
