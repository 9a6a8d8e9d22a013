import { compile } from '../engine/index.ts';
import { demoSetup } from './demo/demoSetup.ts';
import { applyEdit, checkSetup, itemAt, menuOwnerChanges, type Setup, together } from './index.ts';

const demo = demoSetup();
const [menu] = demo.radialMenus;
if (!menu) throw new Error('the demo has no radial menu');
const after = (setup: Setup, edits: ReturnType<typeof menuOwnerChanges>): Setup => {
  const applied = applyEdit(setup, together(edits));
  if (!applied.ok) throw new Error(JSON.stringify(applied.problem));
  return applied.value.setup;
};
const first = (setup: Setup) => {
  const found = setup.radialMenus.find(({ id }) => id === menu.id);
  if (!found) throw new Error('gone');
  return found;
};
const [item] = menu.items;
/** The menu given to Brindle, its first item a command of that program. */
const brindles = (() => {
  const owned = after(demo, menuOwnerChanges(demo, menu, 'brindle'));
  const at = `${itemAt.radialMenu(menu.id)}/items/${item?.id}`;
  const action = { kind: 'command', command: 'brindle-redo' };
  return after(owned, [{ kind: 'set', at, fields: { action } }]);
})();

test('an item may run a command of its menu’s program, and of no other', () => {
  expect(first(brindles)).toMatchObject({ program: 'brindle' });
  expect(checkSetup(brindles)).toEqual([]);
  const at = `${itemAt.radialMenu(menu.id)}/items/${item?.id}`;
  const wrong = { action: { kind: 'command', command: 'larkframe-take' } };
  expect(applyEdit(brindles, { kind: 'set', at, fields: wrong })).toMatchObject({ ok: false });
});

test.each([
  // The same intent there.
  ['larkframe', { kind: 'command', command: 'larkframe-redo' }],
  [null, { kind: 'command', command: 'redo' }],
])('given to %s, its command becomes %j, and back again it is as it was', (program, action) => {
  const given = after(brindles, menuOwnerChanges(brindles, first(brindles), program));
  expect(first(given).items[0]?.action).toEqual(action);
  expect(checkSetup(given)).toEqual([]);
  const back = after(given, menuOwnerChanges(given, first(given), 'brindle'));
  expect(first(back)).toEqual(first(brindles));
});

test('the keys that are sent are those of the menu’s program, and change with its command', () => {
  const keysOf = (setup: Setup) => JSON.stringify(compile(setup).menus.get(menu.id)?.items[0]);
  const at = `${itemAt.program('brindle')}/commands/brindle-redo`;
  const changed = after(brindles, [{ kind: 'set', at, fields: { shortcut: 'Ctrl+Shift+Y' } }]);
  expect(keysOf(changed)).not.toBe(keysOf(brindles));
  const again = compile(changed, compile(brindles)).menus.get(menu.id)?.items[0];
  expect(JSON.stringify(again)).toBe(keysOf(changed));
});

test('a program that a menu belongs to is not removed under it; an unknown one is refused', () => {
  const gone = applyEdit(brindles, { kind: 'remove', at: itemAt.program('brindle') });
  expect(gone.ok).toBe(false);
  const at = itemAt.radialMenu(menu.id);
  const unknown = applyEdit(demo, { kind: 'set', at, fields: { program: 'nobody' } });
  expect(unknown).toMatchObject({ ok: false, problem: { code: 'unknown-program' } });
});
