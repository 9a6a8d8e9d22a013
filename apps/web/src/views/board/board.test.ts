import { compile } from '@nimble-lever/core/engine';
import { BASE_LAYER, demoSetup, type Slot } from '@nimble-lever/core/setup';
import { boardModel, placeOf, slotAt } from './boardModel.ts';
import { pulsesOf } from './dock/pulses.ts';

const model = boardModel(demoSetup());
const face = (row: string, column: string) => {
  const r = model.rows.findIndex(({ name }) => name === row);
  const c = model.columns.findIndex(({ name }) => name === column);
  return model.faces[r]?.[c];
};

test('columns are Everywhere and the programs in order', () => {
  expect(model.columns.map(({ name }) => name)).toEqual(['Everywhere', 'Larkframe', 'Brindle', 'Hushbox']);
});

test.each([
  [
    'Turn clockwise',
    'Everywhere',
    { source: 'set', name: 'Scroll down', shortcut: 'Wheel ↓', family: 'move' },
  ],
  [
    'Turn clockwise',
    'Larkframe',
    { source: 'set', name: 'Step one frame on', shortcut: 'ArrowRight', hasNote: true },
  ],
  [
    'Press',
    'Brindle',
    { source: 'inherited', name: 'Mute', from: 'Everywhere', shortcut: 'AudioVolumeMute' },
  ],
  ['Wheel press', 'Brindle', { source: 'set', does: 'off' }],
  ['Wheel press', 'Hushbox', { source: 'inherited', does: 'native', from: null }],
])('%s in %s shows %j', (row, column, expected) => {
  expect(face(row, column)).toMatchObject(expected);
});

test('a slot and its place lead to each other', () => {
  for (const [r, row] of model.rows.entries()) {
    for (const [c, column] of model.columns.entries()) {
      expect(placeOf(model, slotAt(row, column))).toEqual({ row: r, column: c });
    }
  }
});

const slot = (over: Partial<Slot>): Slot => ({
  profile: 'larkframe',
  layer: BASE_LAYER,
  device: 'bench-dial',
  control: 'dial',
  trigger: 'press',
  ...over,
});
test.each([
  ['a follow is as long as the press', slot({}), [{ from: 100, to: 820 }]],
  [
    'a turn of six steps is six taps',
    slot({ trigger: 'clockwise' }),
    [100, 300, 500, 700, 900, 1100].map((t) => ({ from: t, to: t })),
  ],
  ['off sends nothing', slot({ profile: 'brindle', device: 'pocket-mouse', control: 'wheel' }), []],
  ['native passes through', slot({ device: 'pocket-mouse', control: 'left' }), [{ from: 100, to: 820 }]],
])('pulses: %s', (_name, where, pulses) => {
  expect(pulsesOf(compile(demoSetup()), where)).toEqual(pulses);
});
