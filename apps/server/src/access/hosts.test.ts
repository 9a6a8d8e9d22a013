import { networkInterfaces } from 'node:os';
import { Hosts, isLoopback, isLoopbackName } from './hosts.ts';

const [own] = Object.values(networkInterfaces())
  .flatMap((each) => each ?? [])
  .filter(({ family, internal }) => family === 'IPv4' && !internal)
  .map(({ address }) => address);

test.each([
  ['127.0.0.1', '', 'localhost:4680', true],
  ['127.0.0.1', '', '127.0.0.1', true],
  ['127.0.0.1', '', '[::1]:4680', true],
  ['127.0.0.1', '', 'studio.local', false],
  ['127.0.0.1', 'studio.local', 'STUDIO.local:443', true],
  ['127.0.0.1', ' a.example , studio.local ', 'studio.local', true],
  ['0.0.0.0', '', 'studio.local', false],
  ['192.0.2.7', '', '192.0.2.7:4680', true],
  ['192.0.2.7', '', '192.0.2.8:4680', false],
  ['127.0.0.1', '', 'localhost.evil.example', false],
])('listening to %s, further “%s”: “%s” is answered: %s', (listens, further, host, answered) => {
  expect(new Hosts(listens, further).answersTo(host)).toBe(answered);
});

test('listening to every network, it answers to the addresses this computer has there, and says them', () => {
  const hosts = new Hosts('0.0.0.0', 'studio.local');
  expect(hosts.elsewhere()[0]).toBe('studio.local');
  expect(hosts.elsewhere().some((name) => name.startsWith('127.'))).toBe(false);
  if (own) expect([hosts.answersTo(own), hosts.elsewhere().includes(own)]).toEqual([true, true]);
  if (own) expect(new Hosts('127.0.0.1', '').answersTo(own)).toBe(false);
  expect(new Hosts('127.0.0.1', 'studio.local').elsewhere()).toEqual([]);
});

test.each([
  ['127.0.0.1', true],
  ['127.8.4.2', true],
  ['::ffff:127.0.0.1', true],
  ['::1', true],
  ['192.0.2.1', false],
  ['::ffff:192.0.2.1', false],
  ['10.127.0.1', false],
])('%s is this computer only: %s', (address, only) => {
  expect(isLoopback(address)).toBe(only);
});

test('other addresses of loopback are no names it calls itself by', () => {
  expect(['localhost:1', '127.0.0.1:1', '127.0.0.2:1'].map(isLoopbackName)).toEqual([true, true, false]);
});
