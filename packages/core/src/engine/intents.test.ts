import { acting, demoSetup, type Setup, slotKey } from '../setup/index.ts';
import { short } from '../testing/index.ts';
import { describeActionIn } from '../words/index.ts';
import type { EngineEvent } from './event.ts';
import { simulate } from './simulate.ts';

const ACTION = { kind: 'intent', intent: 'zoom-in' } as const;
const demo = demoSetup();
const everywhere = demo.profiles.everywhere;
if (!everywhere) throw new Error('no Everywhere');
const key = slotKey('base', 'twelve-pad', 'key-11', 'press');
const binding = { behaviour: acting(ACTION, 'tap'), face: null, note: null };
const setup: Setup = {
  ...demo,
  profiles: {
    ...demo.profiles,
    everywhere: { ...everywhere, bindings: { ...everywhere.bindings, [key]: binding } },
  },
};

const pressIn = (program: string | null) => {
  const window = program === null ? null : { executable: program, class: '', title: '' };
  const at = { t: 1, device: 'twelve-pad', control: 'key-11' } as const;
  const events: EngineEvent[] = [
    { kind: 'front', t: 0, window },
    { kind: 'down', ...at },
    { kind: 'up', ...at },
  ];
  return simulate(setup, events);
};

test.each([
  ['larkframe', 'M'],
  ['brindle', 'Ctrl+='],
  ['hushbox', 'Z'],
])('in %s, one binding of an intent runs its own command: %s', (program, keys) => {
  const command = setup.programs
    .find(({ id }) => id === program)
    ?.commands.find(({ intent }) => intent === 'zoom-in');
  expect(command?.shortcut).toBe(keys);
  expect(short(pressIn(program))).not.toBe('');
  const profile = setup.profiles[program];
  if (!profile) throw new Error('no profile');
  expect(describeActionIn(setup, profile, everywhere, ACTION)).toMatchObject({
    name: command?.name,
    shortcut: keys,
    intent: 'zoom-in',
  });
});

test.each(['tin-can', null])('in %s, which has none, nothing is sent and that is said', (program) => {
  const { strokes, explanations } = pressIn(program);
  expect(strokes).toEqual([]);
  expect(explanations.flatMap(({ changes }) => changes)).toContainEqual({
    kind: 'no-intent',
    intent: 'zoom-in',
    program,
  });
});

test('Everywhere calls it by the idea; a program without it says so', () => {
  expect(describeActionIn(setup, everywhere, everywhere, ACTION)).toMatchObject({
    name: 'Zoom in',
    shortcut: null,
  });
  const tinCan = setup.profiles['tin-can'];
  if (!tinCan) throw new Error('no profile');
  expect(describeActionIn(setup, tinCan, everywhere, ACTION)).toMatchObject({ name: 'No “Zoom in” here' });
});
