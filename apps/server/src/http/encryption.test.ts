import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { readConfig } from '../config.ts';
import { encryption, UnusableCertificate } from './encryption.ts';

const folder = mkdtempSync(path.join(tmpdir(), 'certificate-'));
const file = (name: string) => path.join(folder, name);
beforeAll(() => {
  for (const name of ['one', 'two']) {
    const how = [
      '-x509',
      '-newkey',
      'ec',
      '-pkeyopt',
      'ec_paramgen_curve:prime256v1',
      '-nodes',
      '-days',
      '2',
    ];
    const where = ['-subj', `/CN=${name}`, '-keyout', file(`${name}.key`), '-out', file(`${name}.crt`)];
    execFileSync('openssl', ['req', ...how, ...where], { stdio: 'ignore' });
  }
  writeFileSync(file('nonsense'), 'hello');
});
afterAll(() => rmSync(folder, { recursive: true }));

const used = (cert: string, key: string) =>
  encryption({ TLS_CERT: cert && file(cert), TLS_KEY: key && file(key) });

test('nothing named, nothing encrypted; a certificate with its key is used', () => {
  expect(used('', '')).toBeNull();
  expect(used('one.crt', 'one.key')?.cert.toString()).toContain('BEGIN CERTIFICATE');
});

test.each([
  ['one.crt', 'two.key', /with the private key that belongs to it/],
  ['nonsense', 'one.key', /no certificate in PEM/],
  ['one.crt', 'nonsense', /no certificate in PEM/],
  ['missing.crt', 'one.key', /^TLS_CERT names a file that cannot be read/],
  ['one.crt', 'missing.key', /^TLS_KEY names a file that cannot be read/],
])('%s with %s is refused in words', (cert, key, words) => {
  expect(() => used(cert, key)).toThrow(UnusableCertificate);
  expect(() => used(cert, key)).toThrow(words);
});

test('one without the other is a mistake', () => {
  const DATABASE_URL = 'postgres://x';
  expect(() => readConfig({ DATABASE_URL, TLS_CERT: 'x' })).toThrow('TLS_CERT and TLS_KEY go together');
  expect(() => readConfig({ DATABASE_URL, TLS_KEY: 'x' })).toThrow('TLS_CERT and TLS_KEY go together');
});
