import { addressIn, shownIn } from './shownSetUp.ts';

test.each([
  ['/board', '', null, null],
  ['/', '', null, null],
  ['/set-up/loft', '/set-up/loft', 'loft', null],
  ['/set-up/loft/board', '/set-up/loft', 'loft', null],
  ['/set-up/loft-2/at/120', '/set-up/loft-2/at/120', 'loft-2', 120],
  ['/set-up/loft/at/0/rehearse', '/set-up/loft/at/0', 'loft', 0],
  // What is no number of an edit is a view that is not there.
  ['/set-up/loft/at/x', '/set-up/loft', 'loft', null],
  ['/set-up/loft/at/99999999999/board', '/set-up/loft', 'loft', null],
  ['/set-up/..%2f/board', '', null, null],
  ['/set-up/Loft/board', '', null, null],
  ['/set-ups', '', null, null],
])('%s', (path, base, id, revision) => {
  expect(shownIn(path)).toEqual({ base, id, revision });
  if (id !== null) expect(shownIn(addressIn(id, revision, '/rig'))).toEqual({ base, id, revision });
});
