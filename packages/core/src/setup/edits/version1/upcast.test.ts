import { acting } from '../../binding.ts';
import { demoSetup } from '../../demo/demoSetup.ts';
import { checkSetup } from '../../findFaults.ts';
import { setupSchema } from '../../setup.ts';
import { applyEdit } from '../applyEdit.ts';
import { upcastPair } from './upcast.ts';
import { setupWithIds } from './withIds.ts';

const slot = {
  profile: 'larkframe',
  layer: 'base',
  device: 'twelve-pad',
  control: 'key-11',
  trigger: 'press',
};
const at = 'profiles/larkframe/bindings/base/twelve-pad/key-11/press';
const binding = (shortcut: string, note: string | null = null) => ({
  behaviour: acting({ kind: 'shortcut', shortcut }, 'follow'),
  face: null,
  note,
});
const demo = demoSetup();
const dial = demo.devices.find(({ id }) => id === 'bench-dial');
const [menu] = demo.radialMenus;
const without = ({ id: _id, ...rest }: { id: string }) => rest;
const oldMenu = { ...menu, items: menu?.items.map(without) };
/** What programs have since. */
const PLAIN = { keysBy: 'character', colour: null, icon: null };
const inkwell = {
  id: 'inkwell',
  name: 'Inkwell',
  rules: [{ negative: false, executable: { match: 'exact', text: 'inkwell' }, class: null, title: null }],
  commands: [],
};
const inkwellProfile = {
  id: 'inkwell',
  name: null,
  program: 'inkwell',
  rules: [],
  basedOn: null,
  bindings: {},
};

/** Entries as version 1 wrote them to the log, and what they are now. */
test.each<[string, unknown, unknown, object, object]>([
  [
    'a first binding',
    { kind: 'set-binding', slot, binding: binding('A') },
    { kind: 'set-binding', slot, binding: null },
    { kind: 'set', at, fields: { behaviour: binding('A').behaviour } },
    { kind: 'remove', at },
  ],
  [
    'a note put on by setting all of a binding',
    { kind: 'set-binding', slot, binding: binding('A', 'why?') },
    { kind: 'set-binding', slot, binding: binding('A') },
    { kind: 'set', at, fields: { note: 'why?' } },
    { kind: 'set', at, fields: { note: null } },
  ],
  [
    'one setting of a whole device',
    {
      kind: 'set-device',
      id: 'bench-dial',
      item: { ...dial, settings: { ...dial?.settings, doubleMs: 500 } },
      at: 0,
    },
    { kind: 'set-device', id: 'bench-dial', item: dial, at: 0 },
    { kind: 'set', at: 'devices/bench-dial', fields: { 'settings.doubleMs': 500 } },
    { kind: 'set', at: 'devices/bench-dial', fields: { 'settings.doubleMs': 300 } },
  ],
  [
    'a layer added',
    { kind: 'set-layer', id: 'near', item: { id: 'near', name: 'Near' }, at: 2 },
    { kind: 'set-layer', id: 'near', item: null, at: 0 },
    { kind: 'add', at: 'layers/near', item: { id: 'near', name: 'Near' }, after: 'far' },
    { kind: 'remove', at: 'layers/near' },
  ],
  [
    'an item of a radial menu, numbered by its place',
    { kind: 'set-radial-menu', id: 'paints', item: { ...oldMenu, items: oldMenu.items?.slice(1) }, at: 0 },
    { kind: 'set-radial-menu', id: 'paints', item: oldMenu, at: 0 },
    expect.objectContaining({ kind: 'together' }),
    expect.objectContaining({ kind: 'together' }),
  ],
  [
    'a program added',
    { kind: 'add-program', program: inkwell, profiles: [inkwellProfile], at: 1 },
    { kind: 'remove-program', program: 'inkwell' },
    {
      kind: 'together',
      edits: [
        {
          kind: 'add',
          at: 'programs/inkwell',
          item: { ...inkwell, ...PLAIN, rules: [{ id: 'rule-1', ...inkwell.rules[0] }] },
          after: 'larkframe',
        },
        { kind: 'add', at: 'profiles/inkwell', item: inkwellProfile, after: null },
      ],
    },
    { kind: 'remove', at: 'programs/inkwell' },
  ],
  [
    'a program moved and renamed at once',
    {
      kind: 'together',
      edits: [
        { kind: 'move-program', program: 'tallow', to: 0 },
        { kind: 'rename-program', program: 'tallow', name: 'Wick' },
      ],
    },
    {
      kind: 'together',
      edits: [
        { kind: 'rename-program', program: 'tallow', name: 'Tallow' },
        { kind: 'move-program', program: 'tallow', to: 3 },
      ],
    },
    {
      kind: 'together',
      edits: [
        { kind: 'move', at: 'programs/tallow', after: null },
        { kind: 'set', at: 'programs/tallow', fields: { name: 'Wick' } },
      ],
    },
    {
      kind: 'together',
      edits: [
        { kind: 'set', at: 'programs/tallow', fields: { name: 'Tallow' } },
        { kind: 'move', at: 'programs/tallow', after: 'hushbox' },
      ],
    },
  ],
])('%s', (_name, edit, inverse, forth, back) => {
  const made = upcastPair(demo, { edit, inverse });
  expect(made).toEqual({ edit: forth, inverse: back });
  // Undone and done again on a set-up that has it, it leads back to where it was.
  const done = made && applyEdit(demo, made.edit);
  if (done?.ok && made?.inverse) {
    const undone = applyEdit(done.value.setup, made.inverse);
    expect(undone.ok && undone.value.setup).toEqual(demo);
  }
});

test('an edit that was never saved becomes what it changes now', () => {
  const old = { kind: 'set-device', id: 'bench-dial', item: { ...dial, name: 'Old dial' }, at: 0 };
  expect(upcastPair(demo, { edit: old, inverse: null })).toEqual({
    edit: { kind: 'set', at: 'devices/bench-dial', fields: { name: 'Old dial' } },
    inverse: null,
  });
});

test.each([
  [{ kind: 'format-disk' }, { kind: 'remove-program', program: 'tallow' }],
  [{ kind: 'remove-program', program: 'tallow' }, 'nothing'],
  [
    { kind: 'set-note', slot, note: 'a\u0000b' },
    { kind: 'set-note', slot, note: null },
  ],
  [
    { kind: 'together', edits: [{ kind: 'remove-program', program: 'tallow' }] },
    { kind: 'together', edits: [] },
  ],
])('what cannot be read is null: %j', (edit, inverse) => {
  expect(upcastPair(demo, { edit, inverse })).toBeNull();
});

test('a set-up of version 1 gets ids by the places of its rules, steps and items, and is sound then', () => {
  const old = structuredClone(demo) as unknown as Record<
    'macros' | 'radialMenus' | 'programs',
    { steps: object[]; items: object[]; rules: object[] }[]
  >;
  for (const macro of old.macros) macro.steps = macro.steps.map((step) => without(step as { id: string }));
  for (const each of old.radialMenus) each.items = each.items.map((item) => without(item as { id: string }));
  for (const program of old.programs)
    program.rules = program.rules.map((rule) => without(rule as { id: string }));
  expect(setupSchema.safeParse(old).success).toBe(false);
  const now = setupSchema.parse(setupWithIds(old));
  expect(checkSetup(now)).toEqual([]);
  expect(now).toEqual(demo);
  for (const nothing of [null, 3, [], { macros: 'x', profiles: [1], radialMenus: [{ items: 4 }] }]) {
    expect(() => setupWithIds(nothing)).not.toThrow();
  }
});
