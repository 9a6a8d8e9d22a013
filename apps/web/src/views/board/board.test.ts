import { compile } from '@nimble-lever/core/engine';
import { acting, applyEdit, BASE_LAYER, demoSetup, itemAt, type Slot } from '@nimble-lever/core/setup';
import { boardModel, placeOf, type Shown, slotAt } from './boardModel.ts';
import { USUAL_VIEW } from './boardView.ts';
import { triedOut } from './dock/triedOut.ts';

const shown = (over: Partial<Shown> = {}): Shown => ({
  ...USUAL_VIEW,
  layer: BASE_LAYER,
  pages: {},
  compare: false,
  unfolded: new Set(),
  search: '',
  asked: null,
  ...over,
});
const model = boardModel(demoSetup(), shown());
const face = (row: string, column: string) => {
  const r = model.rows.findIndex(({ name }) => name === row);
  const c = model.columns.findIndex(({ name }) => name === column);
  return model.face(r, c);
};

test('columns are Everywhere and the programs in order', () => {
  expect(model.columns.map(({ name }) => name)).toEqual([
    'Everywhere',
    ...demoSetup().programs.map(({ name }) => name),
  ]);
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
  [
    'Wheel press',
    'Hushbox',
    { source: 'inherited', does: 'native', name: 'native: Middle click', from: null },
  ],
  ['Key 5', 'Everywhere', { source: 'inherited', does: 'nothing', name: '—' }],
  // What Everywhere sends to redo is only keys where the program redoes by others.
  ['Key 2', 'Everywhere', { source: 'set', name: 'Redo', shortcut: 'Ctrl+Shift+Z' }],
  ['Key 2', 'Quillboard', { source: 'inherited', name: 'Send keys', shortcut: 'Ctrl+Shift+Z' }],
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

const names = (over: Partial<Shown>) => boardModel(demoSetup(), shown(over)).rows.map(({ name }) => name);

test('other triggers of a control are folded away, and all there when unfolded', () => {
  const key = model.rows.find(({ name }) => name === 'Key 5');
  expect(key).toMatchObject({ more: 6, unfolded: false });
  const open = boardModel(demoSetup(), shown({ unfolded: new Set(['twelve-pad/key-5']) }));
  const at = open.rows.findIndex(({ name }) => name === 'Key 5');
  expect(open.rows.slice(at, at + 7).map(({ trigger }) => trigger)).toEqual([
    'press',
    'hold',
    'double-press',
    'nudge-up',
    'nudge-right',
    'nudge-down',
    'nudge-left',
  ]);
  expect(open.rows.length).toBe(model.rows.length + 6);
});

test('a search keeps the rows that have all its words in device, control or what they do', () => {
  expect(names({ search: 'TAKE the' })).toEqual(['Press']);
  expect(names({ search: 'twelve upper' })).toHaveLength(3);
  expect(names({ search: 'zzz' })).toEqual([]);
});

test('only what is set: nothing but rows with something of their own in this layer', () => {
  const rows = names({ onlySet: true });
  expect(rows).not.toContain('Left');
  expect(rows).toContain('Key 5');
  expect(names({ onlySet: true, layer: 'far' })).toEqual(['Turn clockwise', 'Turn anticlockwise']);
});

test('by use, rows stand under the way they are used; columns can be hidden and kept in sight', () => {
  const { rows, columns } = boardModel(
    demoSetup(),
    shown({ grouping: 'use', hidden: ['brindle'], pinned: ['hushbox'] }),
  );
  const groups = rows.map(({ group }) => group).filter((group, i, all) => group !== all[i - 1]);
  expect(groups).toEqual(['Presses', 'Turns', 'Shuttle positions', 'Sliders']);
  expect(columns.map(({ name }) => name).slice(0, 3)).toEqual(['Hushbox', 'Everywhere', 'Larkframe']);
});

test('in another layer what comes from the base shows through; compared, what differs tells it', () => {
  const far = boardModel(demoSetup(), shown({ layer: 'far', compare: true }));
  const column = far.columns.findIndex(({ name }) => name === 'Larkframe');
  const at = (name: string) =>
    far.face(
      far.rows.findIndex((row) => row.name === name),
      column,
    );
  expect(at('Turn clockwise')).toMatchObject({
    source: 'set',
    name: 'Last frame',
    base: 'Step one frame on',
  });
  expect(at('Press')).toMatchObject({ source: 'inherited', from: 'layer Base', base: null });
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
  [
    'a layer sends nothing and is told',
    slot({ profile: 'everywhere', device: 'three-pedals', control: 'middle' }),
    [],
    ['Layer Far is on.', 'Layer Far is off.'],
  ],
  [
    'so is a radial menu',
    slot({ profile: 'brindle', device: 'pen-tablet', control: 'side-4' }),
    [],
    ['Paints opens.'],
  ],
  [
    'on a folder it is what is set there',
    slot({ layer: 'shot', device: 'six-pad', control: 'key-3' }),
    [{ from: 100, to: 820 }],
  ],
  [
    'the way back leads back',
    slot({ layer: 'shot', device: 'six-pad', control: 'key-6' }),
    [],
    ['Six pad shows its home page.'],
  ],
  [
    'on a set it is what is set there',
    slot({ layer: 'film-strip', trigger: 'anticlockwise' }),
    [100, 300, 500, 700, 900, 1100].map((t) => ({ from: t, to: t })),
  ],
  ['on a layer it is what is set there', slot({ layer: 'far', trigger: 'press' }), [{ from: 100, to: 820 }]],
  ['native passes through', slot({ device: 'pocket-mouse', control: 'left' }), [{ from: 100, to: 820 }]],
])('pulses: %s', (_name, where, pulses, changes = []) => {
  expect(triedOut(compile(demoSetup()), where)).toEqual({ pulses, changes });
});

test('a guarded press sends nothing by itself, and says what it asks for', () => {
  const setup = demoSetup();
  const where = slot({});
  const guarded = { ...acting({ kind: 'shortcut', shortcut: 'Del' }, 'follow'), guard: 'second' as const };
  const edited = applyEdit(setup, {
    kind: 'set',
    at: itemAt.binding(where),
    fields: { behaviour: guarded },
  });
  if (!edited.ok) throw new Error(edited.problem.code);
  expect(triedOut(compile(edited.value.setup), where)).toEqual({
    pulses: [],
    changes: ['It asks for a second press.'],
  });
});

test.each([
  ['brindle', 1, []],
  ['tin-can', 0, ['Tin Can has no command for “Zoom in”: nothing is sent.']],
  ['everywhere', 0, ['Each program runs its own command for it.']],
])('an intent in %s is tried in that program: %i pulses', (profile, count, changes) => {
  const where = slot({ profile });
  const behaviour = acting({ kind: 'intent', intent: 'zoom-in' }, 'tap');
  const edited = applyEdit(demoSetup(), { kind: 'set', at: itemAt.binding(where), fields: { behaviour } });
  if (!edited.ok) throw new Error(edited.problem.code);
  const tried = triedOut(compile(edited.value.setup), where);
  expect([Math.min(1, tried.pulses.length), tried.changes]).toEqual([count, changes]);
});

test('a panel shows the cells of the page that is chosen; by use all stand there, each on its page', () => {
  const rowsOf = (over: Partial<Shown>) =>
    boardModel(demoSetup(), shown(over)).rows.filter(({ device }) => device.id === 'wall-panel');
  const names = (over: Partial<Shown>) => new Set(rowsOf(over).map(({ control }) => control.id));
  expect(names({})).toContain('cell-1');
  expect(names({})).not.toContain('showing-take');
  const onPage = names({ pages: { 'wall-panel': 'showing' } });
  expect(onPage).toContain('showing-take');
  expect(onPage).not.toContain('cell-1');
  const byUse = rowsOf({ grouping: 'use' });
  expect(byUse.find(({ control }) => control.id === 'showing-take')?.layer).toBe('showing');
  expect(byUse.find(({ control }) => control.id === 'cell-1')?.layer).toBe(BASE_LAYER);
});
