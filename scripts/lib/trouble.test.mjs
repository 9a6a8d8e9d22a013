import { troubleIn } from './trouble.mjs';

const cluster = { home: { folder: '/home/x' }, data: '/home/x/data', log: '/home/x/log' };

/** What PostgreSQL 15 says (from memory and from trying), and the words it becomes. */
test.each([
  ['FATAL:  could not write lock file "postmaster.pid": No space left on device', /disk .* is full/],
  [
    'FATAL:  database files are incompatible with server\nDETAIL:  The data directory was initialized by PostgreSQL version 16, which is not compatible',
    /another version of PostgreSQL/,
  ],
  ['FATAL:  data directory "/home/x/data" has invalid permissions', /may not use the database's folder/],
  ['PANIC:  could not locate a valid checkpoint record', /files are damaged/],
  ['FATAL:  could not open file "global/pg_filenode.map": No such file or directory', /files are damaged/],
  ['postgres: could not find the database system', /did not start/],
])('%s', (said, words) => {
  const trouble = troubleIn(said);
  const text = trouble.words(cluster, said);
  expect(text).toMatch(words);
  expect(text).toContain('Nothing was changed');
});

test.each([
  'LOG:  could not bind IPv4 address "127.0.0.1": Address already in use',
  'FATAL:  pre-existing shared memory block (key 5432, ID 3) is still in use',
])('what passes by itself is tried again: %s', (said) => {
  expect(troubleIn(said)).toBe('in-use');
});
