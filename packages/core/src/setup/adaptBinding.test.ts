import { adaptBinding } from './adaptBinding.ts';
import { acting, type Binding, OFF } from './binding.ts';
import { demoSetup } from './demo/demoSetup.ts';
import type { Profile } from './setup.ts';

const setup = demoSetup();
const profile = (id: string) => setup.profiles[id] as Profile;
const command = (id: string, style: 'follow' | 'tap' = 'follow'): Binding => ({
  behaviour: acting({ kind: 'command', command: id }, style),
  face: null,
  note: 'kept',
});

test.each([
  ['a common command stays itself', 'everywhere', 'copy', 'brindle', { kind: 'command', command: 'copy' }],
  [
    'also where the program has its own of that intent, within that program',
    'larkframe',
    'undo',
    'larkframe',
    { kind: 'command', command: 'undo' },
  ],
  [
    'the same intent is taken where there is one',
    'brindle',
    'brindle-fit',
    'hushbox',
    { kind: 'command', command: 'hushbox-fit' },
  ],
  [
    'an own command for a common one',
    'larkframe',
    'larkframe-redo',
    'everywhere',
    { kind: 'command', command: 'redo' },
  ],
  ['else the bare shortcut', 'larkframe', 'larkframe-onion', 'brindle', { kind: 'shortcut', shortcut: 'O' }],
])('%s', (_name, from, id, to, action) => {
  const adapted = adaptBinding(setup, command(id), profile(from), profile(to), 'press');
  expect(adapted).toMatchObject({ behaviour: { action, style: 'follow' }, note: 'kept' });
});

test('without an intent the same name counts, whatever its keys', () => {
  const named = structuredClone(setup);
  const [first] = named.programs.find(({ id }) => id === 'brindle')?.commands ?? [];
  if (first) Object.assign(first, { name: 'onion SKIN', intent: null });
  const adapted = adaptBinding(
    named,
    command('larkframe-onion'),
    profile('larkframe'),
    profile('brindle'),
    'press',
  );
  expect(adapted.behaviour).toMatchObject({ action: { kind: 'command', command: first?.id } });
});

test('from another set-up the same id means nothing', () => {
  const other = structuredClone(setup);
  const undo = other.programs
    .find(({ id }) => id === 'larkframe')
    ?.commands.find(({ id }) => id === 'larkframe-play');
  if (undo) Object.assign(undo, { name: 'Wave', intent: null, shortcut: 'F9' });
  const to = profile('larkframe');
  const adapted = adaptBinding(setup, command('larkframe-play'), profile('larkframe'), to, 'press', other);
  expect(adapted.behaviour).toMatchObject({ action: { kind: 'shortcut', shortcut: 'F9' } });
});

test('a turn can only tap; off and native go anywhere', () => {
  const turned = adaptBinding(setup, command('copy'), profile('everywhere'), profile('brindle'), 'clockwise');
  expect(turned.behaviour).toMatchObject({ style: 'tap' });
  const off: Binding = { behaviour: OFF, face: null, note: null };
  expect(adaptBinding(setup, off, profile('everywhere'), profile('brindle'), 'clockwise')).toBe(off);
});
