import { demoSetup, type Profile, type Setup } from '../setup/index.ts';
import { profileChain } from './chain.ts';
import { nextUnder, resolveBehaviour } from './resolveBehaviour.ts';
import { indexRules, resolveProfile } from './resolveProfile.ts';

const window = (executable: string) => ({ executable, class: '', title: '' });

test.each([
  ['larkframe', null, 'larkframe', 'rule'],
  ['brindle', null, 'brindle', 'rule'],
  ['Larkframe', null, 'everywhere', 'nothing-fits'],
  ['unheard-of', null, 'everywhere', 'nothing-fits'],
  ['larkframe', 'hushbox', 'hushbox', 'pinned'],
])('%s with pin %s gives %s (%s)', (executable, pinned, profile, because) => {
  expect(resolveProfile(indexRules(demoSetup()), window(executable), pinned)).toMatchObject({
    profile,
    because,
  });
});

test('two programs with the same rule: the first in the person’s order decides, the other is named', () => {
  const setup = demoSetup();
  const larkframe = setup.programs[0];
  setup.programs.push({
    ...setup.programs[1],
    id: 'second',
    name: 'Second',
    rules: larkframe?.rules ?? [],
    commands: [],
  });
  setup.profiles.second = { id: 'second', program: 'second', basedOn: null, bindings: {} };
  const decision = resolveProfile(indexRules(setup), window('larkframe'), null);
  expect(decision.candidates.map(({ profile, verdict }) => [profile, verdict])).toEqual([
    ['larkframe', 'decides'],
    ['second', 'later'],
  ]);
});

const layered = (): Setup => {
  const setup = demoSetup();
  setup.layers.push({ id: 'upper', name: 'Upper' });
  const { everywhere, brindle } = setup.profiles;
  if (everywhere) {
    everywhere.bindings['upper/twelve-pad/key-1/press'] = {
      behaviour: { kind: 'off' },
      face: null,
      note: null,
    };
  }
  if (brindle) brindle.basedOn = 'larkframe';
  return setup;
};
const looked = (setup: Setup, profile: string, layers: string[], control: string) =>
  resolveBehaviour(profileChain(setup, profile), layers, 'twelve-pad', control, 'press');

test('layers come before profiles: a layer set in Everywhere beats the base layer of the profile', () => {
  const resolution = looked(layered(), 'larkframe', ['upper', 'base'], 'key-1');
  expect(resolution.decided).toMatchObject({ profile: 'everywhere', layer: 'upper' });
  expect(nextUnder(resolution)).toMatchObject({ profile: 'everywhere', layer: 'base' });
});

test('the chain goes from the profile through what it is based on to Everywhere', () => {
  const resolution = looked(layered(), 'brindle', ['base'], 'key-9');
  expect(resolution.decided?.profile).toBe('larkframe');
  expect(resolution.looked.map(({ profile, verdict }) => `${profile} ${verdict}`)).toEqual([
    'brindle inherit',
    'larkframe decides',
    'everywhere inherit',
  ]);
});

test('nothing set gives native; a circle of based-on ends', () => {
  const setup = layered();
  const larkframe = setup.profiles.larkframe as Profile;
  larkframe.basedOn = 'brindle';
  expect(looked(setup, 'brindle', ['base'], 'key-11').decided).toBeNull();
  expect(profileChain(setup, 'brindle').map(({ id }) => id)).toEqual(['brindle', 'larkframe', 'everywhere']);
});
