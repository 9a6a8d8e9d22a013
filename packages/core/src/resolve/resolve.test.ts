import {
  demoSetup,
  newProgram,
  OFF,
  type Profile,
  type Rule,
  ruleSchema,
  type Setup,
} from '../setup/index.ts';
import { profileChain } from './chain.ts';
import { nextUnder, resolveBehaviour } from './resolveBehaviour.ts';
import { resolveProfile } from './resolveProfile.ts';
import { indexRules } from './ruleIndex.ts';

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
  setup.programs.push(newProgram({ id: 'second', name: 'Second', rules: larkframe?.rules ?? [] }));
  setup.profiles.second = {
    id: 'second',
    name: null,
    program: 'second',
    rules: [],
    basedOn: null,
    bindings: {},
  };
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
      behaviour: OFF,
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

type Text = readonly ['exact' | 'glob' | 'regex', string];
const rule = (fields: { executable?: Text; class?: Text; title?: Text; negative?: boolean }): Rule => {
  const pattern = (text?: Text) => (text ? { match: text[0], text: text[1] } : null);
  return {
    id: 'rule-1',
    negative: fields.negative ?? false,
    executable: pattern(fields.executable),
    class: pattern(fields.class),
    title: pattern(fields.title),
  };
};
/** A set-up whose profiles p0, p1… have these rules; a window of `larkframe` with a title. */
function decide(rulesOf: readonly (readonly Rule[])[], title: string) {
  const setup = demoSetup();
  setup.programs = rulesOf.map((rules, i) => newProgram({ id: `p${i}`, name: `P${i}`, rules: [...rules] }));
  setup.profiles = Object.fromEntries([
    ['everywhere', setup.profiles.everywhere as Profile],
    ...setup.programs.map(({ id }): [string, Profile] => [
      id,
      { id, name: null, program: id, rules: [], basedOn: null, bindings: {} },
    ]),
  ]);
  const window = { executable: 'larkframe', class: 'Lark', title };
  const { profile, candidates } = resolveProfile(indexRules(setup), window, null);
  return [profile, ...candidates.map((each) => `${each.profile} ${each.verdict}`)].join(', ');
}
const exe = ['exact', 'larkframe'] as const;

test.each([
  [
    'exact over glob',
    [[rule({ executable: ['glob', 'lark*'] })], [rule({ executable: exe })]],
    'p1, p0 less-specific, p1 decides',
  ],
  [
    'glob over regular expression',
    [[rule({ title: ['regex', 'shot'] })], [rule({ title: ['glob', '*shot*'] })]],
    'p1, p0 less-specific, p1 decides',
  ],
  [
    'more fields over fewer',
    [[rule({ executable: exe })], [rule({ executable: exe, title: ['regex', '^shot'] })]],
    'p1, p0 less-specific, p1 decides',
  ],
  [
    'the other field decides between as many',
    [[rule({ executable: exe, title: ['regex', 's'] })], [rule({ executable: exe, title: ['glob', 's*'] })]],
    'p1, p0 less-specific, p1 decides',
  ],
  [
    'then the person’s order',
    [[rule({ executable: exe })], [rule({ class: ['exact', 'Lark'] })]],
    'p0, p0 decides, p1 later',
  ],
  [
    'a negative rule keeps a window out',
    [
      [rule({ executable: exe }), rule({ negative: true, title: ['glob', '*04'] })],
      [rule({ executable: ['glob', '*'] })],
    ],
    'p1, p0 kept-out, p1 decides',
  ],
  ['negative rules alone let nothing in', [[rule({ negative: true, title: ['exact', 'x'] })]], 'everywhere'],
  ['every field must fit', [[rule({ executable: exe, title: ['exact', 'other'] })]], 'everywhere'],
  [
    'a profile’s best rule counts',
    [[rule({ title: ['regex', '.'] }), rule({ executable: exe })], [rule({ executable: ['glob', '*'] })]],
    'p0, p0 decides, p1 less-specific',
  ],
])('rules: %s', (_name, rules, expected) => {
  expect(decide(rules, 'shot_04')).toBe(expected);
});

test('a dialog may have a profile of its own, by its title', () => {
  const setup = demoSetup();
  const own = [rule({ executable: exe, title: ['glob', 'Export*'] })];
  setup.profiles.export = {
    id: 'export',
    name: 'Larkframe export',
    program: 'larkframe',
    rules: own,
    basedOn: 'larkframe',
    bindings: {},
  };
  const index = indexRules(setup);
  const at = (title: string) =>
    resolveProfile(index, { executable: 'larkframe', class: '', title }, null).profile;
  expect([at('heron_shot_04'), at('Export the film')]).toEqual(['larkframe', 'export']);
});

test('a bad regular expression is refused when it is entered', () => {
  const wrong = ruleSchema.safeParse(rule({ title: ['regex', '(a'] }));
  expect(wrong.error?.issues[0]).toMatchObject({
    path: ['title'],
    params: { code: 'regex-unclosed', at: 0 },
  });
  expect(ruleSchema.safeParse(rule({})).success).toBe(false);
  expect(ruleSchema.parse({ id: 'rule-1', executable: { match: 'exact', text: 'x' } })).toEqual(
    rule({ executable: ['exact', 'x'] }),
  );
});
