import fc from 'fast-check';
import { arbitraryEdit, arbitrarySetup, Counted, fuzz } from '../../testing/index.ts';
import { acting, type Binding, keyOf, type Slot } from '../binding.ts';
import { demoSetup } from '../demo/demoSetup.ts';
import { checkSetup } from '../findFaults.ts';
import { type Setup, setupSchema } from '../setup.ts';
import { itemAt } from './address.ts';
import { applyEdit } from './applyEdit.ts';
import { type Edit, editSchema, partsOf, together } from './edit.ts';

const slot: Slot = {
  profile: 'larkframe',
  layer: 'base',
  device: 'bench-dial',
  control: 'dial',
  trigger: 'clockwise',
};
const at = itemAt.binding(slot);
const binding = (shortcut: string, style: 'tap' | 'follow' = 'tap'): Binding => ({
  behaviour: acting({ kind: 'shortcut', shortcut }, style),
  face: null,
  note: null,
});
const setTo = (made: Binding, where = at): Edit => ({ kind: 'set', at: where, fields: { ...made } });
const setupWithEdit = arbitrarySetup.chain((setup) => fc.tuple(fc.constant(setup), arbitraryEdit(setup)));
const after = (setup: Setup, edit: Edit): Setup => {
  const applied = applyEdit(setup, edit);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.value.setup;
};

test('an edit and its inverse give the same set-up', () => {
  const counted = new Counted();
  fuzz(
    fc.property(setupWithEdit, ([setup, edit]) => {
      const before = structuredClone(setup);
      const applied = applyEdit(setup, edit);
      expect(setup).toEqual(before);
      if (!applied.ok) return counted.leftOut();
      counted.tried();
      const back = applyEdit(applied.value.setup, applied.value.inverse);
      expect(back.ok && back.value.setup).toEqual(before);
    }),
    200,
  );
  counted.atLeast(0.5);
});

test('an applied edit leaves the set-up sound, and edit and inverse pass the schema unchanged', () => {
  const counted = new Counted();
  fuzz(
    fc.property(setupWithEdit, ([setup, edit]) => {
      const applied = applyEdit(setup, edit);
      if (!applied.ok) return counted.leftOut();
      counted.tried();
      expect(checkSetup(applied.value.setup)).toEqual([]);
      expect(setupSchema.parse(applied.value.setup)).toEqual(applied.value.setup);
      expect(editSchema.parse(edit)).toEqual(edit);
      expect(editSchema.parse(applied.value.inverse)).toEqual(applied.value.inverse);
    }),
    150,
  );
  counted.atLeast(0.5);
});

test('most random edits apply, of every kind', () => {
  const counts = { set: 0, add: 0, remove: 0, move: 0 };
  fc.assert(
    fc.property(setupWithEdit, ([setup, edit]) => {
      if (applyEdit(setup, edit).ok) for (const { kind } of partsOf(edit)) counts[kind] += 1;
    }),
    { numRuns: 300, seed: 9 },
  );
  for (const count of Object.values(counts)) expect(count).toBeGreaterThan(10);
});

test('parts an edit does not touch are shared', () => {
  const setup = demoSetup();
  const applied = applyEdit(setup, setTo(binding('A')));
  if (!applied.ok) throw new Error(applied.problem.code);
  expect(applied.value.setup.devices).toBe(setup.devices);
  expect(applied.value.setup.profiles.brindle).toBe(setup.profiles.brindle);
  expect(applied.value.setup.profiles.larkframe?.bindings[keyOf(slot)]).toEqual(binding('A'));
});

const inkwell = (id: string, name: string): Edit => ({
  kind: 'add',
  at: itemAt.program(id),
  item: { id, name, rules: [], commands: [] },
  after: null,
});
const elsewhere = (part: Partial<Slot>) => itemAt.binding({ ...slot, ...part });

const REFUSED: readonly (readonly [string, Edit])[] = [
  ['unknown-profile', setTo(binding('A'), elsewhere({ profile: 'gone' }))],
  ['unknown-layer', setTo(binding('A'), elsewhere({ layer: 'gone' }))],
  ['unknown-device', setTo(binding('A'), elsewhere({ device: 'gone' }))],
  ['unknown-control', setTo(binding('A'), elsewhere({ control: 'gone' }))],
  ['control-lacks-trigger', setTo(binding('A'), elsewhere({ device: 'twelve-pad', control: 'key-1' }))],
  ['style-needs-release', setTo(binding('A', 'follow'))],
  [
    'unknown-command',
    setTo({ ...binding('A'), behaviour: acting({ kind: 'command', command: 'brindle-larger' }, 'tap') }),
  ],
  [
    'nothing-set',
    {
      kind: 'set',
      at: elsewhere({ device: 'twelve-pad', control: 'key-11', trigger: 'press' }),
      fields: { note: 'x' },
    },
  ],
  [
    'field-gone',
    together([
      { kind: 'set', at, fields: { behaviour: { kind: 'native' } } },
      { kind: 'set', at, fields: { 'behaviour.style': 'tap' } },
    ]),
  ],
  [
    'field-gone',
    { kind: 'set', at: itemAt.device('bench-dial'), fields: { 'settings.acceleration.max': 2 } },
  ],
  [
    'fields-clash',
    {
      kind: 'set',
      at: itemAt.device('bench-dial'),
      fields: { 'settings.acceleration': { max: 2, from: 90, to: 100 }, 'settings.acceleration.to': 80 },
    },
  ],
  ['id-taken', inkwell('brindle', 'Inkwell')],
  ['name-taken', inkwell('inkwell', 'BRINDLE')],
  ['name-taken', { kind: 'set', at: itemAt.program('larkframe'), fields: { name: 'brindle' } }],
  ['item-gone', { kind: 'remove', at: itemAt.program('gone') }],
  ['item-gone', { kind: 'move', at: itemAt.program('gone'), after: null }],
  ['item-gone', { kind: 'set', at: `${itemAt.macro('hold-a-frame')}/steps/gone`, fields: { ms: 3 } }],
  [
    'item-gone',
    { kind: 'add', at: 'macros/gone/steps/one', item: { id: 'one', kind: 'wait', ms: 3 }, after: null },
  ],
  ['still-used', { kind: 'remove', at: itemAt.macro('hold-a-frame') }],
  ['still-used', { kind: 'remove', at: 'programs/larkframe/commands/larkframe-play' }],
  ['base-layer-missing', { kind: 'remove', at: itemAt.layer('base') }],
  ['base-layer-missing', { kind: 'move', at: itemAt.layer('far'), after: null }],
  ['everywhere-missing', { kind: 'remove', at: itemAt.profile('everywhere') }],
  ['order-fixed', { kind: 'move', at: itemAt.profile('brindle'), after: null }],
  ['based-on-circle', { kind: 'set', at: itemAt.profile('brindle'), fields: { basedOn: 'brindle' } }],
  [
    'macro-circle',
    {
      kind: 'add',
      at: `${itemAt.macro('hold-a-frame')}/steps/again`,
      item: { id: 'again', kind: 'macro', macro: 'hold-a-frame' },
      after: null,
    },
  ],
  ['name-taken', together([{ kind: 'set', at: itemAt.program('larkframe'), fields: { name: 'Brindle' } }])],
];
test.each(REFUSED)('refuses: %s', (code, edit) => {
  expect(applyEdit(demoSetup(), edit)).toMatchObject({ ok: false, problem: { code } });
});

test('a profile that others are based on stays', () => {
  const setup = after(demoSetup(), {
    kind: 'set',
    at: itemAt.profile('brindle'),
    fields: { basedOn: 'larkframe' },
  });
  expect(checkSetup(setup)).toEqual([]);
  expect(applyEdit(setup, { kind: 'remove', at: itemAt.program('larkframe') })).toMatchObject({
    problem: { code: 'others-based-on', others: ['brindle'] },
  });
  if (setup.profiles.larkframe) setup.profiles.larkframe.basedOn = 'brindle';
  expect(checkSetup(setup)).toContainEqual({ code: 'based-on-circle', profile: 'larkframe' });
});

test('a program whose profile something still switches to stays', () => {
  const switching = after(demoSetup(), {
    kind: 'set',
    at: elsewhere({ profile: 'everywhere' }),
    fields: {
      behaviour: acting({ kind: 'profile', profiles: ['tallow', 'brindle'], change: 'next' }, 'tap'),
    },
  });
  expect(applyEdit(switching, { kind: 'remove', at: itemAt.program('brindle') })).toMatchObject({
    problem: { code: 'still-used' },
  });
});

test('a program goes with its profiles, and its removal is small however much goes along', () => {
  const opener = itemAt.binding({
    profile: 'everywhere',
    layer: 'base',
    device: 'wall-panel',
    control: 'cell-1',
    trigger: 'press',
  });
  const setup = after(demoSetup(), { kind: 'remove', at: opener });
  const applied = applyEdit(setup, { kind: 'remove', at: itemAt.program('larkframe') });
  if (!applied.ok) throw new Error(applied.problem.code);
  expect(applied.value.setup.profiles.larkframe).toBeUndefined();
  expect(after(applied.value.setup, applied.value.inverse)).toEqual(setup);
});

test('fields of one binding are set side by side, and an action whatever the control did before', () => {
  const setup = after(demoSetup(), setTo(binding('A')));
  const labelled = after(setup, { kind: 'set', at, fields: { 'face.label': 'Frame on' } });
  const coloured = after(labelled, { kind: 'set', at, fields: { 'face.colour': 'teal' } });
  expect(coloured.profiles.larkframe?.bindings[keyOf(slot)]?.face).toEqual({
    label: 'Frame on',
    icon: null,
    colour: 'teal',
    picture: null,
  });
  const plain = after(coloured, { kind: 'set', at, fields: { 'face.label': null, 'face.colour': null } });
  expect(plain.profiles.larkframe?.bindings[keyOf(slot)]?.face).toBeNull();
  const off = after(plain, {
    kind: 'set',
    at,
    fields: { behaviour: { kind: 'off', heardBy: [], sends: null } },
  });
  const acts = after(off, {
    kind: 'set',
    at,
    fields: { 'behaviour.action': { kind: 'shortcut', shortcut: 'B' } },
  });
  expect(acts.profiles.larkframe?.bindings[keyOf(slot)]?.behaviour).toEqual(
    acting({ kind: 'shortcut', shortcut: 'B' }, 'tap'),
  );
});

test('names that only the database folds otherwise are told apart or taken as one, as people read them', () => {
  const named = (name: string): Edit => ({ kind: 'set', at: itemAt.program('larkframe'), fields: { name } });
  const setup = after(demoSetup(), named('\u039f\u0394\u039f\u03a3'));
  for (const [name, ok] of [
    ['οδοσ', false],
    ['οδος', false],
    ['İz', true],
    ['iz', true],
  ] as const) {
    expect(applyEdit(setup, { kind: 'set', at: itemAt.program('tallow'), fields: { name } }).ok).toBe(ok);
  }
});

test('three thousand notes are one edit that copies the profile once', () => {
  const setup = demoSetup();
  const larkframe = setup.profiles.larkframe;
  if (!larkframe) throw new Error('no profile');
  const many = Array.from({ length: 3000 }, (_, i) => ({
    at: itemAt.binding({ ...slot, layer: `l${i}` }),
    key: keyOf({ ...slot, layer: `l${i}` }),
  }));
  for (const { key } of many) larkframe.bindings[key] = binding('A');
  setup.layers.push(...many.map((_, i) => ({ id: `l${i}`, name: 'x' })));
  const edit = together(
    many.map(({ at: each }, i) => ({ kind: 'set', at: each, fields: { note: `n${i}` } })),
  );
  const noted = after(setup, edit);
  expect(many.every(({ key }, i) => noted.profiles.larkframe?.bindings[key]?.note === `n${i}`)).toBe(true);
  expect(larkframe.bindings[many[7]?.key ?? '']?.note).toBeNull();
});

test('the demo is sound, fits its schema, and its shortcuts are canonical', () => {
  expect(checkSetup(demoSetup())).toEqual([]);
  expect(setupSchema.parse(demoSetup())).toEqual(demoSetup());
});

test('a schema names what is wrong with a shortcut', () => {
  const wrong = editSchema.safeParse({
    kind: 'set',
    at,
    fields: { 'behaviour.action': { kind: 'shortcut', shortcut: 'Ctrl+Wobble' } },
  });
  expect(wrong.error?.issues[0]).toMatchObject({
    path: ['fields', 'behaviour.action', 'shortcut'],
    params: { code: 'shortcut-unknown-key', token: 'Wobble' },
  });
  const normalised = editSchema.parse({
    kind: 'set',
    at,
    fields: { behaviour: binding('shift+ctrl+z').behaviour },
  });
  expect(normalised).toMatchObject({ fields: { behaviour: binding('Ctrl+Shift+Z').behaviour } });
});

const steps = (deep: number): object => ({
  id: `s${deep}`,
  kind: 'repeat',
  times: 2,
  steps: deep > 0 ? [steps(deep - 1)] : [],
});
test.each<[string, unknown, string | null]>([
  ['an address that leads nowhere', { kind: 'remove', at: 'gadgets/one' }, null],
  ['an id that objects have', { kind: 'remove', at: 'devices/constructor' }, null],
  ['a field of nobody', { kind: 'set', at, fields: { colour: 'red' } }, 'no-such-field'],
  ['an id', { kind: 'set', at: itemAt.device('bench-dial'), fields: { id: 'x' } }, 'no-such-field'],
  ['a list', { kind: 'set', at: itemAt.device('bench-dial'), fields: { controls: [] } }, 'no-such-field'],
  ['a field of what objects have', { kind: 'set', at, fields: { 'face.__proto__.x': 1 } }, 'no-such-field'],
  [
    'a part of what is set as a whole',
    { kind: 'set', at, fields: { 'behaviour.action.shortcut': 'A' } },
    'no-such-field',
  ],
  [
    'another id than the address says',
    { kind: 'add', at: 'layers/a', item: { id: 'b', name: 'B' }, after: null },
    'other-id',
  ],
  ['a binding added', { kind: 'add', at, item: binding('A'), after: null }, 'not-added'],
  ['the set-up itself added', { kind: 'add', at: '', item: {}, after: null }, 'not-added'],
  [
    'a name that cannot be seen',
    { kind: 'set', at: itemAt.layer('far'), fields: { name: '\u200b\u2800\u3164' } },
    null,
  ],
  [
    'steps nested nine hundred deep',
    { kind: 'add', at: 'macros/deep/steps/s900', item: steps(900), after: null },
    'steps-too-deep',
  ],
  [
    'an OSC address with a null character',
    {
      kind: 'set',
      at,
      fields: {
        'behaviour.action': {
          kind: 'message',
          message: { protocol: 'osc', address: '/a\u0000', low: 0, high: 1 },
        },
      },
    },
    null,
  ],
  [
    'an OSC address with half a character',
    {
      kind: 'set',
      at,
      fields: {
        'behaviour.action': {
          kind: 'message',
          message: { protocol: 'osc', address: '/a\ud83d', low: 0, high: 1 },
        },
      },
    },
    null,
  ],
])('a schema refuses %s', (_name, edit, code) => {
  const parsed = editSchema.safeParse(edit);
  expect(parsed.success).toBe(false);
  if (code)
    expect(
      parsed.error?.issues.map((issue) => (issue as { params?: { code?: string } }).params?.code),
    ).toContain(code);
});

test('steps may stand eight deep', () => {
  const add = (above: string, inside: number) =>
    editSchema.safeParse({
      kind: 'add',
      at: `macros/m${above}/steps/s${inside}`,
      item: steps(inside),
      after: null,
    }).success;
  expect([add('', 7), add('', 8)]).toEqual([true, false]);
  expect([add('/steps/a/steps/b', 5), add('/steps/a/steps/b', 6)]).toEqual([true, false]);
  expect([add('/steps/a'.repeat(7), 0), add('/steps/a'.repeat(8), 0)]).toEqual([true, false]);
});

test('the set-up itself is changed, but is no item that is added, removed or moved', () => {
  const kinds = [
    { kind: 'set', at: '', fields: { name: 'Loft' } },
    { kind: 'add', at: '', item: {}, after: null },
    { kind: 'remove', at: '' },
    { kind: 'move', at: '', after: null },
  ];
  expect(kinds.map((edit) => editSchema.safeParse(edit).success)).toEqual([true, false, false, false]);
});
