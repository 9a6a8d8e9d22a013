import { acting, type Binding, keyOf, type Slot } from './binding.ts';
import { demoSetup } from './demo/demoSetup.ts';
import { applyEdit, together } from './index.ts';
import { type Moving, movingEdits, placingEdits } from './placing.ts';
import type { Setup } from './setup.ts';

const setup = demoSetup();
const at = (profile: string, control: string): Slot => ({
  profile,
  layer: 'base',
  device: 'twelve-pad',
  control,
  trigger: 'press',
});
const bindingAt = (of: Setup, slot: Slot) => of.profiles[slot.profile]?.bindings[keyOf(slot)] ?? null;
const after = (edits: ReturnType<typeof placingEdits>): Setup => {
  if (edits.length === 0) return setup;
  const applied = applyEdit(setup, together(edits));
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.value.setup;
};

test.each<[Moving, 'taken' | 'left' | 'changed']>([
  ['move', 'taken'],
  ['copy', 'left'],
  ['swap', 'changed'],
])('%s: what was there is %s', (how, source) => {
  const [from, to] = [at('brindle', 'key-2'), at('brindle', 'key-5')];
  const [a, b] = [bindingAt(setup, from), bindingAt(setup, to)];
  const next = after(movingEdits(setup, from, to, how));
  expect(bindingAt(next, to)).toEqual(a);
  expect(bindingAt(next, from)).toEqual({ taken: null, left: a, changed: b }[source]);
});

test('a swap and its swap back leave everything as it was', () => {
  const [from, to] = [at('brindle', 'key-5'), at('brindle', 'key-6')];
  const once = after(movingEdits(setup, from, to, 'swap'));
  const back = applyEdit(once, together(movingEdits(once, from, to, 'swap')));
  expect(back.ok && back.value.setup.profiles.brindle?.bindings).toEqual(setup.profiles.brindle?.bindings);
});

test('in another program a binding is in that program’s words', () => {
  const next = after(movingEdits(setup, at('brindle', 'key-2'), at('larkframe', 'key-9'), 'copy'));
  const behaviour = bindingAt(next, at('larkframe', 'key-9'))?.behaviour;
  expect(behaviour).toMatchObject({ kind: 'action', action: { kind: 'command', command: 'larkframe-redo' } });
});

test('a block moved by one row clears only what it left', () => {
  const [first, second, third] = [at('brindle', 'key-5'), at('brindle', 'key-6'), at('brindle', 'key-7')];
  const [a, b] = [bindingAt(setup, first), bindingAt(setup, second)];
  const next = after(
    placingEdits(setup, [
      { to: first, binding: null, from: 'brindle' },
      { to: second, binding: null, from: 'brindle' },
      { to: second, binding: a, from: 'brindle' },
      { to: third, binding: b, from: 'brindle' },
    ]),
  );
  expect([first, second, third].map((slot) => bindingAt(next, slot))).toEqual([null, a, b]);
});

test('what is placed where the same stands makes no edit; nor does a profile that is gone', () => {
  const slot = at('brindle', 'key-5');
  const same = bindingAt(setup, slot);
  expect(placingEdits(setup, [{ to: slot, binding: same, from: 'brindle' }])).toEqual([]);
  const binding: Binding = {
    behaviour: acting({ kind: 'shortcut', shortcut: 'B' }, 'tap'),
    face: null,
    note: null,
  };
  expect(placingEdits(setup, [{ to: { ...slot, profile: 'gone' }, binding, from: 'brindle' }])).toEqual([]);
});
