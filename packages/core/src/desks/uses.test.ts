import { demoSetup } from '../setup/index.ts';
import { usesSchema, withUses } from './index.ts';

const set = (device: string, control: string, shortcut: string) => ({ device, control, shortcut });
const sent = (setup: ReturnType<typeof demoSetup>, profile: string, key: string) => {
  const behaviour = setup.profiles[profile]?.bindings[`base/${key}/press`]?.behaviour;
  return behaviour?.kind === 'action' && behaviour.action.kind === 'shortcut'
    ? behaviour.action.shortcut
    : null;
};

test('what a script puts on stands in the profile it stays with, else everywhere; the later over the earlier', () => {
  const setup = demoSetup();
  const worn = withUses(setup, [
    { pin: null, stays: false, sets: [set('twelve-pad', 'key-10', 'F1')] },
    { pin: 'brindle', stays: false, sets: [set('twelve-pad', 'key-11', 'F2')] },
    { pin: 'brindle', stays: false, sets: [set('twelve-pad', 'key-11', 'F3')] },
  ]);
  expect(sent(worn, 'everywhere', 'twelve-pad/key-10')).toBe('F1');
  expect(sent(worn, 'brindle', 'twelve-pad/key-11')).toBe('F3');
  expect(setup).toEqual(demoSetup());
});

test('what does not fit the set-up is left out, and the rest stands', () => {
  const worn = withUses(demoSetup(), [
    {
      pin: null,
      stays: false,
      sets: [set('gone', 'key-1', 'F1'), set('bench-dial', 'gone', 'F1'), set('six-pad', 'key-1', 'F1')],
    },
    { pin: 'gone', stays: false, sets: [set('six-pad', 'key-2', 'F2')] },
  ]);
  expect(sent(worn, 'everywhere', 'six-pad/key-1')).toBe('F1');
  expect(worn.profiles.gone).toBeUndefined();
  expect(withUses(demoSetup(), [])).toEqual(demoSetup());
});

test.each([
  ['keys that are none', { pin: null, stays: false, sets: [set('pad', 'key-1', 'Hop+X')] }],
  [
    'more than is put on at once',
    { pin: null, stays: false, sets: Array(21).fill(set('pad', 'key-1', 'A')) },
  ],
  ['a profile by no id', { pin: '../x', stays: false, sets: [] }],
])('%s are refused', (_name, uses) => {
  expect(usesSchema.safeParse(uses).success).toBe(false);
});
