import { demoSetup } from '@nimble-lever/core/setup';
import { findItems } from './findItems.ts';

const items = findItems(demoSetup(), 'brindle');
const having = (typed: string) =>
  items.filter(({ name, shortcut }) => name.toLowerCase() === typed || shortcut?.toLowerCase() === typed);
const found = (typed: string) =>
  having(typed).map(({ name, owner, control }) => [name, owner, control].filter(Boolean).join(' · '));

test.each([
  ['take the frame', ['Take the frame · Larkframe · Bench dial, press']],
  ['split here', ['Split here · Hushbox · Bench dial, press']],
  ['clear the canvas', ['Clear the canvas · Brindle']],
  ['ctrl+u', ['Canvas upright · Brindle · Pocket mouse, thumb, front']],
  ['lower knob, press', ['Lower knob, press · Twelve pad']],
  ['zzz', []],
])('“%s” finds %j', (typed, expected) => {
  expect(found(typed)).toEqual(expected);
});

test('a control is found in the profile asked for, a command where it runs', () => {
  expect(having('key 11')[0]?.slot).toMatchObject({ profile: 'brindle', control: 'key-11' });
  expect(having('take the frame')[0]?.slot).toMatchObject({
    profile: 'larkframe',
    control: 'dial',
    trigger: 'press',
  });
});

test('a cell of a panel is found on its page, and a page by a cell that is on it', () => {
  expect(having('take')[0]?.slot).toMatchObject({ layer: 'showing', control: 'showing-take' });
  const page = items.find(({ kind, name }) => kind === 'page' && name === 'Showing');
  expect(page?.slot).toMatchObject({ layer: 'showing', control: 'showing-take' });
});

const hintOf = (name: string, owner: string) => {
  const item = findItems(demoSetup(), 'brindle').find((each) => each.name === name && each.owner === owner);
  return item && { kind: item.kind, control: item.control };
};

test.each([
  // Set in Everywhere, under the common command of the same keys.
  ['Undo', 'Brindle', 'command', 'Twelve pad, key 1'],
  ['Brush larger', 'Brindle', 'command', 'Bench dial, turn clockwise'],
  // Nothing reaches it.
  ['Clear the canvas', 'Brindle', 'command', null],
  ['Paints', 'Radial menu', 'menu', expect.stringMatching(/^Pen tablet/)],
  ['Hold a frame', 'Macro', 'macro', 'Shuttle, key 9'],
  ['Far', 'Layer', 'layer', null],
])('%s of %s is a %s, reached by %j', (name, owner, kind, control) => {
  expect(hintOf(name, owner)).toEqual({ kind, control });
});

test('every trigger of every control is found, once', () => {
  const controls = items.filter(({ kind }) => kind === 'control');
  expect(new Set(controls.map(({ key }) => key)).size).toBe(controls.length);
  expect(controls.map(({ name }) => name)).toEqual(
    expect.arrayContaining(['Key 5, hold', 'Key 5, nudge up']),
  );
});

test('what is set for the program hides what Everywhere would reach', () => {
  const setup = demoSetup();
  const key = 'base/twelve-pad/key-1/press';
  const binding = setup.profiles.everywhere?.bindings[key];
  const { brindle } = setup.profiles;
  if (!binding || !brindle) throw new Error('the demo has changed');
  const off = { ...binding, behaviour: { kind: 'off' as const, heardBy: [], sends: null } };
  const profiles = {
    ...setup.profiles,
    brindle: { ...brindle, bindings: { ...brindle.bindings, [key]: off } },
  };
  const undo = findItems({ ...setup, profiles }, 'brindle').find(
    ({ name, owner }) => name === 'Undo' && owner === 'Brindle',
  );
  expect(undo?.control).not.toBe('Twelve pad, key 1');
});
