import fc from 'fast-check';
import { arbitraryEdit, arbitrarySetup, editBetween, fuzz } from '../../testing/index.ts';
import { acting, type Binding, NO_FACE, type Slot } from '../binding.ts';
import { demoSetup } from '../demo/demoSetup.ts';
import type { Setup } from '../setup.ts';
import { itemAt } from './address.ts';
import { applyEdit } from './applyEdit.ts';
import { bindingChanges, changesOf } from './changes.ts';
import { type Edit, together } from './edit.ts';
import { overwrittenBy } from './overlap.ts';
import { putEntry, turnedIn } from './putEntry.ts';
import { undoingEdit } from './undoing.ts';

const after = (setup: Setup, edit: Edit) => {
  const applied = applyEdit(setup, edit);
  if (!applied.ok) throw new Error(`${applied.problem.code} ${JSON.stringify(edit)}`);
  return applied.value;
};

test('the changes between two states lead from one to the other, and name nothing that is the same', () => {
  fuzz(
    fc.property(
      arbitrarySetup.chain((setup) =>
        fc.tuple(fc.constant(setup), fc.array(arbitraryEdit(setup), { maxLength: 5 })),
      ),
      ([setup, edits]) => {
        let now = setup;
        for (const edit of edits) {
          const applied = applyEdit(now, edit);
          if (applied.ok) now = applied.value.setup;
        }
        const between = editBetween(setup, now);
        // What an item is changed by may need what another one gets later; those few are not what this is about.
        const applied = applyEdit(setup, between);
        if (applied.ok) expect(applied.value.setup).toEqual(now);
        expect(editBetween(now, structuredClone(now))).toEqual(together([]));
      },
    ),
    200,
  );
});

const slot: Slot = {
  profile: 'larkframe',
  layer: 'base',
  device: 'twelve-pad',
  control: 'key-11',
  trigger: 'press',
};
const at = itemAt.binding(slot);
const bound = (shortcut: string, more: Partial<Binding> = {}): Binding => ({
  behaviour: acting({ kind: 'shortcut', shortcut }, 'follow'),
  face: null,
  note: null,
  ...more,
});

test.each<[string, Binding | null, Binding | null, object[]]>([
  ['nothing', bound('A'), bound('A'), []],
  ['set', null, bound('A'), [{ kind: 'set', at, fields: { behaviour: bound('A').behaviour } }]],
  ['cleared', bound('A'), null, [{ kind: 'remove', at }]],
  [
    'another shortcut',
    bound('A'),
    bound('B'),
    [{ kind: 'set', at, fields: { 'behaviour.action': { kind: 'shortcut', shortcut: 'B' } } }],
  ],
  ['a note', bound('A'), bound('A', { note: 'why?' }), [{ kind: 'set', at, fields: { note: 'why?' } }]],
  [
    'a first label',
    bound('A'),
    bound('A', { face: { ...NO_FACE, label: 'One' } }),
    [{ kind: 'set', at, fields: { 'face.label': 'One' } }],
  ],
  [
    'off',
    bound('A'),
    bound('A', { behaviour: { kind: 'off', heardBy: [], sends: null } }),
    [{ kind: 'set', at, fields: { behaviour: { kind: 'off', heardBy: [], sends: null } } }],
  ],
])('a binding: %s', (_name, before, next, edits) => {
  expect(bindingChanges(slot, before, next)).toEqual(edits);
});

test('a setting is one field; controls and steps are changed, moved, added and removed one by one', () => {
  const setup = demoSetup();
  const dial = setup.devices.find(({ id }) => id === 'bench-dial');
  const [macro] = setup.macros;
  if (!dial || !macro) throw new Error('not in the demo');
  expect(
    changesOf(itemAt.device(dial.id), dial, { ...dial, settings: { ...dial.settings, doubleMs: 500 } }),
  ).toEqual([{ kind: 'set', at: 'devices/bench-dial', fields: { 'settings.doubleMs': 500 } }]);
  const [first, second, third, last] = macro.steps;
  if (!first || !second || !third || !last) throw new Error('not in the demo');
  const added = { id: 'new', kind: 'wait', ms: 20 } as const;
  const steps = [third, { ...first, shortcut: 'E' }, added, last] as typeof macro.steps;
  const list = `${itemAt.macro(macro.id)}/steps`;
  expect(changesOf(itemAt.macro(macro.id), macro, { ...macro, steps })).toEqual([
    { kind: 'remove', at: `${list}/step-2` },
    { kind: 'move', at: `${list}/step-3`, after: null },
    { kind: 'set', at: `${list}/step-1`, fields: { shortcut: 'E' } },
    { kind: 'add', at: `${list}/new`, item: added, after: 'step-1' },
  ]);
});

const set = (fields: Record<string, unknown>): Edit => ({ kind: 'set', at, fields });

test('undo leaves what someone else has changed since', () => {
  const begun = after(demoSetup(), set({ behaviour: bound('A').behaviour })).setup;
  const mine = set({ note: 'mine', 'face.label': 'Mine' });
  const made = after(begun, mine);
  const theirs = after(made.setup, set({ note: 'theirs' })).setup;
  const undoing = undoingEdit(theirs, mine, made.inverse);
  expect(
    undoing && after(theirs, undoing).setup.profiles.larkframe?.bindings['base/twelve-pad/key-11/press'],
  ).toMatchObject({
    note: 'theirs',
    face: null,
  });
  const both = after(theirs, set({ 'face.label': 'Theirs' })).setup;
  expect(undoingEdit(both, mine, made.inverse)).toBeNull();
  expect(undoingEdit(made.setup, mine, made.inverse)).toEqual(made.inverse);
});

test.each<[string, Edit, Edit, readonly string[] | null]>([
  ['the same field', set({ note: 'mine' }), set({ note: 'theirs' }), ['note']],
  ['the same field to the same', set({ note: 'same' }), set({ note: 'same' }), null],
  ['another field', set({ note: 'mine' }), set({ 'face.label': 'x' }), null],
  [
    'a part of a field',
    set({ face: { label: 'a', icon: null, colour: null } }),
    set({ 'face.label': 'b' }),
    ['face'],
  ],
  [
    'what it does',
    set({ 'behaviour.style': 'latch' }),
    set({ behaviour: { kind: 'native' } }),
    ['behaviour.style'],
  ],
  ['the item removed', set({ note: 'mine' }), { kind: 'remove', at }, []],
  [
    'the device removed under it',
    { kind: 'set', at: 'devices/bench-dial/controls/dial', fields: { name: 'x' } },
    { kind: 'remove', at: 'devices/bench-dial' },
    [],
  ],
  [
    'an item with a longer name removed',
    { kind: 'set', at: 'layers/far', fields: { name: 'x' } },
    { kind: 'remove', at: 'layers/far-2' },
    null,
  ],
])('what a later edit overwrites: %s', (_name, mine, later, fields) => {
  const found = overwrittenBy(mine, later, together([]));
  expect(found?.fields ?? null).toEqual(fields);
});

test('what was overwritten can be brought back, and nothing else', () => {
  const mine = set({ note: 'mine', 'face.label': 'Mine' });
  const found = overwrittenBy(mine, set({ note: 'theirs', 'face.colour': 'teal' }), together([]));
  expect(found?.back).toEqual(set({ note: 'mine' }));
});

test('an entry is put onto what is there now; undone and done again once each', () => {
  const author = { id: '00000000-0000-4000-8000-000000000001', name: 'Bench' };
  const common = { id: author.id, author, base: 0 };
  const setup = demoSetup();
  const edit = set({ behaviour: bound('A').behaviour });
  const put = putEntry(setup, { ...common, role: 'do', edit }, null);
  if (!put.ok) throw new Error(put.problem.code);
  const log = [{ id: 'a', role: 'do', of: null, edit, inverse: put.value.inverse }] as const;
  const undo = { ...common, role: 'undo', of: 'a' } as const;
  const undone = putEntry(put.value.setup, undo, turnedIn(log, 'a'));
  expect(undone.ok && undone.value.setup).toEqual(setup);
  const longer = [
    ...log,
    { id: 'b', role: 'undo', of: 'a', edit: put.value.inverse, inverse: edit },
  ] as const;
  expect(putEntry(setup, undo, turnedIn(longer, 'a'))).toMatchObject({ problem: { code: 'turned-already' } });
  const redone = putEntry(setup, { ...undo, role: 'redo' }, turnedIn(longer, 'a'));
  expect(redone.ok && redone.value.setup).toEqual(put.value.setup);
  expect(putEntry(setup, undo, turnedIn(log, 'z'))).toMatchObject({ problem: { code: 'entry-unknown' } });
  const lost = turnedIn([{ id: 'a', role: 'do', of: null, edit: null, inverse: null }], 'a');
  expect(putEntry(setup, undo, lost)).toMatchObject({ problem: { code: 'entry-unknown' } });
});
