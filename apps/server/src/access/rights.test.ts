import { mayAsk } from './rights.ts';

const panel = { may: 'panel', setUp: 'saltmarsh', device: 'wall-panel' } as const;
const picture = `/api/pictures/${'a'.repeat(64)}`;

test.each([
  ['GET', '/panel/wall-panel', true],
  ['GET', '/panel/wall-panel/app.webmanifest', true],
  ['GET', '/panel/worker.js', true],
  ['GET', '/api/visitor', true],
  ['GET', picture, true],
  ['POST', '/api/pictures', false],
  ['DELETE', picture, false],
  ['GET', '/panel/six-pad', false],
  ['GET', '/panel/wall-panel-2', false],
  ['GET', '/panel/six-pad/app.webmanifest', false],
  ['GET', '/', false],
  ['GET', '/board', false],
  ['GET', '/index.html', false],
  ['GET', '/api/set-ups', false],
  ['GET', '/api/set-up', false],
  ['GET', '/api/set-ups/saltmarsh/file', false],
  ['POST', '/api/set-ups/saltmarsh/edits', false],
  ['POST', '/api/pairing-codes', false],
  ['GET', '/api/pairings', false],
  ['GET', '/api/reached', false],
  ['GET', '/api/visitor/x', false],
  ['GET', '/api/pictures/../set-ups', false],
])('with the rights of one panel: %s %s is granted: %s', (method, path, granted) => {
  expect(mayAsk(panel, method, path)).toBe(granted);
  expect(mayAsk({ may: 'everything' }, method, path)).toBe(true);
});
