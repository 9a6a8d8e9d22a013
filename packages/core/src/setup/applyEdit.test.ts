import fc from 'fast-check';
import { arbitraryEdit, arbitrarySetup } from '../testing/index.ts';
import { applyEdit } from './applyEdit.ts';
import { acting, type Binding, keyOf, type Slot } from './binding.ts';
import { checkSetup } from './checkSetup.ts';
import { demoSetup } from './demo/demoSetup.ts';
import { type Edit, editSchema } from './edit.ts';
import { setupSchema } from './setup.ts';

const slot: Slot = {
  profile: 'larkframe',
  layer: 'base',
  device: 'bench-dial',
  control: 'dial',
  trigger: 'clockwise',
};
const binding = (shortcut: string, style: 'tap' | 'follow' = 'tap'): Binding => ({
  behaviour: acting({ kind: 'shortcut', shortcut }, style),
  face: null,
  note: null,
});
const setupWithEdit = arbitrarySetup.chain((setup) => fc.tuple(fc.constant(setup), arbitraryEdit(setup)));

test('an edit and its inverse give the same set-up', () => {
  fc.assert(
    fc.property(setupWithEdit, ([setup, edit]) => {
      const before = structuredClone(setup);
      const applied = applyEdit(setup, edit);
      expect(setup).toEqual(before);
      if (!applied.ok) return;
      const back = applyEdit(applied.value.setup, applied.value.inverse);
      expect(back.ok && back.value.setup).toEqual(before);
    }),
    { numRuns: 400 },
  );
});

test('an applied edit leaves the set-up sound, and edit and inverse pass the schema unchanged', () => {
  fc.assert(
    fc.property(setupWithEdit, ([setup, edit]) => {
      const applied = applyEdit(setup, edit);
      if (!applied.ok) return;
      expect(checkSetup(applied.value.setup)).toEqual([]);
      expect(editSchema.parse(edit)).toEqual(edit);
      expect(editSchema.parse(applied.value.inverse)).toEqual(applied.value.inverse);
    }),
    { numRuns: 200 },
  );
});

test('parts an edit does not touch are shared', () => {
  const setup = demoSetup();
  const applied = applyEdit(setup, { kind: 'set-binding', slot, binding: binding('A') });
  if (!applied.ok) throw new Error(applied.problem.code);
  expect(applied.value.setup.devices).toBe(setup.devices);
  expect(applied.value.setup.profiles.brindle).toBe(setup.profiles.brindle);
  expect(applied.value.setup.profiles.larkframe?.bindings[keyOf(slot)]).toEqual(binding('A'));
});

const inkwell = (id: string, name: string): Edit => ({
  kind: 'add-program',
  program: { id, name, rules: [], commands: [] },
  profiles: [{ id, name: null, program: id, rules: [], basedOn: null, bindings: {} }],
  at: 0,
});

const REFUSED: readonly (readonly [string, Edit])[] = [
  ['unknown-profile', { kind: 'set-binding', slot: { ...slot, profile: 'gone' }, binding: null }],
  ['unknown-layer', { kind: 'set-binding', slot: { ...slot, layer: 'gone' }, binding: null }],
  ['unknown-device', { kind: 'set-binding', slot: { ...slot, device: 'gone' }, binding: null }],
  ['unknown-control', { kind: 'set-binding', slot: { ...slot, control: 'gone' }, binding: null }],
  [
    'control-lacks-trigger',
    { kind: 'set-binding', slot: { ...slot, device: 'twelve-pad', control: 'key-1' }, binding: null },
  ],
  ['style-needs-release', { kind: 'set-binding', slot, binding: binding('A', 'follow') }],
  [
    'unknown-command',
    {
      kind: 'set-binding',
      slot,
      binding: {
        ...binding('A'),
        behaviour: acting({ kind: 'command', command: 'brindle-larger' }, 'tap'),
      },
    },
  ],
  [
    'nothing-set',
    {
      kind: 'set-note',
      slot: { ...slot, device: 'twelve-pad', control: 'key-11', trigger: 'press' },
      note: 'x',
    },
  ],
  ['id-taken', inkwell('brindle', 'Inkwell')],
  ['name-taken', inkwell('inkwell', 'BRINDLE')],
  ['name-taken', { kind: 'rename-program', program: 'larkframe', name: 'brindle' }],
  ['unknown-program', { kind: 'remove-program', program: 'gone' }],
  ['position-out-of-range', { kind: 'move-program', program: 'larkframe', to: 7 }],
  [
    'name-taken',
    { kind: 'together', edits: [{ kind: 'rename-program', program: 'larkframe', name: 'Brindle' }] },
  ],
];
test.each(REFUSED)('refuses: %s', (code, edit) => {
  expect(applyEdit(demoSetup(), edit)).toMatchObject({ ok: false, problem: { code } });
});

test('a profile that others are based on stays', () => {
  const setup = demoSetup();
  const brindle = setup.profiles.brindle;
  if (brindle) brindle.basedOn = 'larkframe';
  expect(checkSetup(setup)).toEqual([]);
  expect(applyEdit(setup, { kind: 'remove-program', program: 'larkframe' })).toMatchObject({
    problem: { code: 'others-based-on', others: ['brindle'] },
  });
  if (setup.profiles.larkframe) setup.profiles.larkframe.basedOn = 'brindle';
  expect(checkSetup(setup)).toContainEqual({ code: 'based-on-circle', profile: 'larkframe' });
});

test('the demo is sound, fits its schema, and its shortcuts are canonical', () => {
  expect(checkSetup(demoSetup())).toEqual([]);
  expect(setupSchema.parse(demoSetup())).toEqual(demoSetup());
});

test('a schema names what is wrong with a shortcut', () => {
  const wrong = editSchema.safeParse({ kind: 'set-binding', slot, binding: binding('Ctrl+Wobble') });
  expect(wrong.error?.issues[0]).toMatchObject({
    path: ['binding', 'behaviour', 'action', 'shortcut'],
    params: { code: 'shortcut-unknown-key', token: 'Wobble' },
  });
  const normalised = editSchema.parse({ kind: 'set-binding', slot, binding: binding('shift+ctrl+z') });
  expect(normalised).toMatchObject({ binding: binding('Ctrl+Shift+Z') });
});
