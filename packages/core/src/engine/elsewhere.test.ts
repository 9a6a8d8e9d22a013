import { type BoundRow, bound, played, run } from '../testing/index.ts';
import { compile } from './compile.ts';
import { resolutionNow } from './lookup.ts';

/** The mouse talks to Desk and to Loft; the front thumb button goes from one to the other. */
const ROWS: readonly BoundRow[] = [
  [
    'everywhere mouse/thumb-front press',
    { kind: 'computer', device: null, change: 'next', computer: 0 },
    'tap',
  ],
  ['everywhere mouse/left press', 'E'],
  ['brindle mouse/left press', 'B'],
  ['larkframe mouse/left press', 'L'],
  ['larkframe pad/key-1 press', 'K'],
];
const TO_LOFT = ['1 down mouse/thumb-front', '1 up mouse/thumb-front'] as const;

test.each<[string, string[], string]>([
  [
    'a device gets the profile of the computer it talks to',
    ['0 front larkframe', '0 front-of Loft brindle', ...TO_LOFT, '2 down mouse/left', '3 up mouse/left'],
    '@2 Loft:+KeyB @3 Loft:-KeyB',
  ],
  [
    'others keep that of this one',
    ['0 front larkframe', '0 front-of Loft brindle', ...TO_LOFT, '2 down pad/key-1', '3 up pad/key-1'],
    '@2 +KeyK @3 -KeyK',
  ],
  [
    'of a computer nothing was heard of, Everywhere applies',
    ['0 front larkframe', ...TO_LOFT, '2 down mouse/left', '3 up mouse/left'],
    '@2 Loft:+KeyE @3 Loft:-KeyE',
  ],
  [
    'what is in front here decides nothing there',
    [
      ...TO_LOFT,
      '2 front-of Loft brindle',
      '3 down mouse/left',
      '4 front larkframe',
      '5 up mouse/left',
      '6 down mouse/left',
      '7 up mouse/left',
    ],
    '@3 Loft:+KeyB @5 Loft:-KeyB @6 Loft:+KeyB @7 Loft:-KeyB',
  ],
  [
    'a change of front there lets go of what no longer decides there, and of nothing here',
    [
      '0 front larkframe',
      '0 front-of Loft brindle',
      ...TO_LOFT,
      '2 down mouse/left',
      '3 down pad/key-1',
      '4 front-of Loft larkframe',
      '5 up mouse/left',
      '6 up pad/key-1',
    ],
    '@2 Loft:+KeyB @3 +KeyK @4 Loft:-KeyB @6 -KeyK',
  ],
  [
    'a pinned profile stays at all of them',
    ['0 front larkframe', '0 pin brindle', ...TO_LOFT, '2 down mouse/left', '3 up mouse/left'],
    '@2 Loft:+KeyB @3 Loft:-KeyB',
  ],
  [
    'back again, it follows this one',
    [
      '0 front larkframe',
      '0 front-of Loft brindle',
      ...TO_LOFT,
      '2 down mouse/thumb-front',
      '2 up mouse/thumb-front',
      '3 down mouse/left',
      '4 up mouse/left',
    ],
    '@3 +KeyL @4 -KeyL',
  ],
])('%s', (_name, lines, expected) => {
  expect(played(ROWS, ...lines)).toBe(expected);
});

test('a computer that no device talks to has no front', () => {
  const { explanations, state } = run(ROWS, '0 front-of Attic brindle');
  expect(explanations[0]?.outcome).toEqual({ kind: 'ignored', why: 'unknown-computer' });
  expect(state.elsewhere).toEqual({});
});

test('what changed is told with the computer it is for', () => {
  const { explanations } = run(ROWS, '0 front larkframe', '1 front-of Loft brindle');
  expect(explanations.map(({ changes }) => changes)).toEqual([
    [
      { kind: 'profile', from: 'everywhere', to: 'larkframe', computer: null },
      // One of its sets follows the program.
      { kind: 'page', device: 'dial', folder: null, set: 'frames' },
    ],
    [{ kind: 'profile', from: 'everywhere', to: 'brindle', computer: 'Loft' }],
  ]);
});

test('the next profile is counted from the one that decides for the device', () => {
  const rows: readonly BoundRow[] = [
    ...ROWS,
    ['everywhere mouse/wheel press', { kind: 'profile', change: 'next', profiles: ['larkframe', 'brindle'] }],
  ];
  const { state } = run(
    rows,
    '0 front brindle',
    '0 front-of Loft larkframe',
    ...TO_LOFT,
    '2 down mouse/wheel',
    '3 up mouse/wheel',
  );
  expect(state.pinned).toBe('brindle');
});

test('a program that is in front there is not asked to come again', () => {
  const target = { program: 'brindle', focus: true };
  const rows: readonly BoundRow[] = [...ROWS, ['everywhere mouse/wheel press', 'T', 'tap', { target }]];
  const press = ['3 down mouse/wheel', '3 up mouse/wheel'] as const;
  expect(played(rows, '0 front-of Loft brindle', ...TO_LOFT, ...press)).toBe(
    '@3 brindleLoft:+KeyT @3 brindleLoft:-KeyT',
  );
  expect(played(rows, '0 front brindle', ...TO_LOFT, ...press)).toBe(
    '@3 Loft:*brindle @3 brindleLoft:+KeyT @3 brindleLoft:-KeyT',
  );
});

test('what a key would do now is asked of the same profile', () => {
  const { state } = run(ROWS, '0 front larkframe', '0 front-of Loft brindle', ...TO_LOFT);
  const compiled = compile(bound(ROWS));
  const decided = (device: string, control: string) =>
    resolutionNow(compiled, state, device, control, 'press').decided?.profile;
  expect([decided('mouse', 'left'), decided('pad', 'key-1')]).toEqual(['brindle', 'larkframe']);
});
