import { demoSetup } from '@nimble-lever/core/setup';
import { findItems, matching } from './findItems.ts';

const items = findItems(demoSetup(), 'brindle');
const found = (typed: string) =>
  matching(items, typed).map(({ name, owner, control }) =>
    [name, owner, control].filter(Boolean).join(' · '),
  );

test.each([
  ['take', ['Take the frame · Larkframe · Bench dial, press']],
  ['split here', ['Split here · Hushbox · Bench dial, press']],
  ['clear canvas', ['Clear the canvas · Brindle']],
  ['ctrl+u', ['Canvas upright · Brindle · Pocket mouse, thumb, front']],
  ['lower knob press', ['Lower knob, press · Twelve pad']],
  ['zzz', []],
])('“%s” finds %j', (typed, expected) => {
  expect(found(typed)).toEqual(expected);
});

test('a control is found in the profile asked for, a command where it runs', () => {
  expect(matching(items, 'key 11')[0]?.slot).toMatchObject({ profile: 'brindle', control: 'key-11' });
  expect(matching(items, 'take')[0]?.slot).toMatchObject({
    profile: 'larkframe',
    control: 'dial',
    trigger: 'press',
  });
});

test('what begins with the words comes first, and never more than can be shown', () => {
  expect(found('fit')[0]).toMatch(/^Fit in window/);
  expect(matching(items, '')).toHaveLength(40);
});
