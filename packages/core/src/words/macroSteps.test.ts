import type { MacroFinding } from '../macros/index.ts';
import { type BareStep, demoSetup, numberSteps } from '../setup/index.ts';
import { macroFindingWords } from './macroFindings.ts';
import { durationWords, stepWords } from './macroSteps.ts';

const place = { from: 'window', corner: 'bottom-right', x: -10, y: -4 } as const;
const window = { executable: null, class: null, title: { match: 'glob', text: 'Out*' } } as const;

test.each<[BareStep, string]>([
  [{ kind: 'shortcut', shortcut: 'Ctrl+A' }, 'Ctrl+A'],
  [{ kind: 'key-down', code: 'ShiftLeft' }, 'Shift'],
  [{ kind: 'hold', keys: 'Alt', steps: [] }, 'Alt'],
  [{ kind: 'text', text: 'wings' }, '“wings”'],
  [{ kind: 'wait', ms: 1250 }, '1.3 s'],
  [
    { kind: 'until', window, atMostMs: 3000, late: 'go-on' },
    'the window “Out*” is there, at most 3 s, then go on all the same',
  ],
  [
    {
      kind: 'until',
      window: { executable: { match: 'exact', text: 'brindle' }, class: null, title: null },
      atMostMs: 500,
      late: 'stop',
    },
    'a window of brindle is there, at most 500 ms, then stop and say so',
  ],
  [{ kind: 'button', button: 2, change: 'up' }, 'right up'],
  [{ kind: 'click', button: 0, count: 1, at: null }, 'left, where the pointer is'],
  [
    { kind: 'click', button: 0, count: 2, at: place, keys: 'Alt' },
    'Alt + left twice, at -10, -4 from the window’s bottom right',
  ],
  [
    { kind: 'click', button: 1, count: 3, at: { ...place, from: 'screen' } },
    'middle three times, at -10, -4 on the screen',
  ],
  [{ kind: 'wheel', ticks: -3, axis: 'vertical' }, 'wheel ↓ by 3'],
  [{ kind: 'pointer', change: 'back' }, 'back to where it was'],
  [{ kind: 'menu', path: ['Window', 'Colours…'] }, 'Window › Colours…'],
  [
    { kind: 'focus', program: 'hushbox', launch: true },
    'Hushbox to the front, started where it does not run',
  ],
  [{ kind: 'layer', layer: 'far', on: false }, 'Far off'],
  [{ kind: 'macro', macro: 'hold-a-frame' }, 'Hold a frame'],
  [{ kind: 'repeat', times: 1, steps: [] }, '1 time'],
])('%j reads as %s', (step, words) => {
  const [whole] = numberSteps([step]);
  expect(whole && stepWords(demoSetup(), whole)).toBe(words);
});

test.each([
  [0, '0 ms'],
  [999.4, '999 ms'],
  [1000, '1 s'],
  [59_940, '59.9 s'],
  [60_000, '1 min'],
  [125_000, '2 min 5 s'],
])('%s ms is %s', (ms, words) => {
  expect(durationWords(ms)).toBe(words);
});

test('every finding is a sentence with its facts in it', () => {
  const found: readonly [MacroFinding, string][] = [
    [{ kind: 'nothing-waits', step: 'a', window: null }, 'may open a window'],
    [{ kind: 'nothing-waits', step: 'a', window }, 'the window “Out*”'],
    [{ kind: 'stops-here', step: 'a' }, 'the macro stops'],
    [{ kind: 'stays-down', step: 'a', what: 'KeyF' }, 'F is put down'],
    [{ kind: 'stays-down', step: 'a', what: 0 }, 'eft click is put down'],
    [{ kind: 'outside', step: 'a', place: { ...place } }, 'outside its window'],
    [{ kind: 'long-wait', step: 'a', ms: 12_000 }, '12 s'],
    [
      { kind: 'untypable-text', step: 'a', character: '鷺', layout: 'German' },
      '“鷺” cannot be typed on German',
    ],
    [
      { kind: 'untypable-keys', step: 'a', shortcut: 'Ctrl+漢', layout: 'German' },
      'Ctrl+漢 cannot be typed on German',
    ],
    [{ kind: 'broken-field', step: 'a', field: '‹date nn›' }, '‹date nn› cannot be filled in'],
    [{ kind: 'never-ends', step: null }, 'round and round'],
    [{ kind: 'nothing-remembered', step: 'a' }, 'puts the pointer back'],
  ];
  for (const [finding, part] of found) expect(macroFindingWords(finding)).toContain(part);
});
