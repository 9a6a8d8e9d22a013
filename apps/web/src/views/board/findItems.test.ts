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
