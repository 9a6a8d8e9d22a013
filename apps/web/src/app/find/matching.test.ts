import type { Found } from './findSource.ts';
import { matching } from './matching.ts';

const found = (name: string, owner = 'Larkframe', shortcut: string | null = null): Found => ({
  key: `${owner} ${name}`,
  name,
  owner,
  shortcut,
  hint: null,
  go: () => '/board',
});
const ITEMS = [
  found('Play or stop', 'Larkframe', 'Space'),
  found('Retake the frame', 'Larkframe', 'Ctrl+Enter'),
  found('Take the frame', 'Larkframe', 'Enter'),
  found('Take a note', 'Quillboard'),
];

test.each([
  ['take', ['Take the frame', 'Take a note', 'Retake the frame']],
  ['take lark', ['Take the frame', 'Retake the frame']],
  ['ctrl+enter', ['Retake the frame']],
  ['  TAKE  note ', ['Take a note']],
  ['zzz', []],
])('“%s” finds %j: every word occurs, what begins with it comes first', (typed, expected) => {
  expect(matching(ITEMS, typed).map(({ name }) => name)).toEqual(expected);
});

test('what was chosen last comes first, as long as it fits what is typed', () => {
  const recent = ['Larkframe Retake the frame', 'Larkframe Play or stop', 'gone'];
  expect(matching(ITEMS, '', recent).map(({ name }) => name)[0]).toBe('Retake the frame');
  expect(matching(ITEMS, 'take', recent).map(({ name }) => name)).toEqual([
    'Retake the frame',
    'Take the frame',
    'Take a note',
  ]);
});

test('no more than can be shown', () => {
  expect(
    matching(
      Array.from({ length: 90 }, (_, i) => found(`Item ${i}`)),
      '',
    ),
  ).toHaveLength(40);
});

test.each([
  ['tkae a note', 'Take a note'],
  ['play or stpo', 'Play or stop'],
  ['retake teh frame', 'Retake the frame'],
])('a slip is forgiven: “%s” finds %s', (typed, first) => {
  expect(matching(ITEMS, typed)[0]?.name).toBe(first);
});
