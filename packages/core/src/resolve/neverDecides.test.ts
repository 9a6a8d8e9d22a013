import fc from 'fast-check';
import { demoSetup, newProfile, newProgram, type Rule, ruleSchema, type Setup } from '../setup/index.ts';
import { neverDecides } from './neverDecides.ts';
import { resolveProfile } from './resolveProfile.ts';
import { rulesOf, unfittingFields } from './ruleFit.ts';
import { indexRules } from './ruleIndex.ts';

/** `glob:a*` is a glob, `regex:a` a regular expression, everything else exact; `!` in front keeps out. */
function rule(id: string, text: string): Rule {
  const negative = text.startsWith('!');
  const fields: Record<string, unknown> = {};
  for (const part of text.replace('!', '').split(' ')) {
    const [field = '', value = ''] = part.split('=');
    const [, match = 'exact', wanted = ''] = value.match(/^(?:(glob|regex):)?(.*)$/) ?? [];
    fields[field] = { match, text: wanted };
  }
  return ruleSchema.parse({ id, negative, ...fields });
}
function setupOf(programs: readonly (readonly string[])[]): Setup {
  const setup = { ...demoSetup(), programs: [], profiles: {} } as Setup;
  for (const [i, rules] of programs.entries()) {
    const id = `p-${i}`;
    setup.programs.push(
      newProgram({ id, name: id, rules: rules.map((text, n) => rule(`rule-${n + 1}`, text)) }),
    );
    setup.profiles[id] = newProfile({ id, program: id });
  }
  return setup;
}

test.each([
  ['nothing stands against it', [['executable=a']], []],
  ['its own rule keeps all of it out', [['executable=a title=x', '!title=glob:*']], ['p-0/rule-1']],
  ['its own rule keeps a part of it out', [['executable=a', '!title=glob:*x*']], []],
  ['an earlier profile has the same', [['executable=a'], ['executable=a']], ['p-1/rule-1']],
  ['the later one says more', [['executable=a'], ['executable=a title=x']], []],
  ['an earlier one fits more and says more', [['executable=a'], ['executable=regex:^a$']], []],
  ['an exact one behind a glob still wins', [['executable=glob:a*'], ['executable=abc']], []],
  [
    'an earlier one that keeps something out leaves it that',
    [['executable=a', '!title=x'], ['executable=a']],
    [],
  ],
  ['the same glob, later', [['executable=glob:a*'], ['executable=glob:a*']], ['p-1/rule-1']],
  [
    'any title adds a field, and so says more',
    [['executable=a'], ['executable=a title=glob:*']],
    ['p-0/rule-1'],
  ],
])('%s', (_what, programs, never) => {
  expect([...neverDecides(setupOf(programs)).keys()]).toEqual(never);
});

const NAMES = ['a', 'ab', 'b'];
const pattern = fc.constantFrom(...NAMES, 'glob:a*', 'glob:*', 'regex:a', 'regex:^b');
const ruleText = fc
  .tuple(
    fc.boolean(),
    fc.array(fc.tuple(fc.constantFrom('executable', 'title'), pattern), { minLength: 1, maxLength: 2 }),
  )
  .map(([no, fields]) => (no ? '!' : '') + fields.map(([field, text]) => `${field}=${text}`).join(' '));

test('what is told never to decide decides for no window, and fits exactly where no field is amiss', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(ruleText, { maxLength: 3 }), { minLength: 1, maxLength: 4 }),
      (programs) => {
        const setup = setupOf(programs);
        const never = neverDecides(setup);
        const index = indexRules(setup);
        for (const executable of NAMES) {
          for (const title of [...NAMES, '']) {
            const window = { executable, class: '', title };
            const { profile, because, candidates } = resolveProfile(index, window, null);
            const decides = candidates.find(({ verdict }) => verdict === 'decides');
            if (because === 'rule') expect(never.has(`${profile}/${decides?.rule.id}`)).toBe(false);
            for (const { profile: fitting, rule: by } of candidates) {
              expect(unfittingFields(by, window)).toEqual([]);
              expect(rulesOf(setup, fitting)).toContain(by);
            }
          }
        }
      },
    ),
  );
});
