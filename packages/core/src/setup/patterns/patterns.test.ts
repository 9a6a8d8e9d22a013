import fc from 'fast-check';
import { compileRegex } from './linearRegex.ts';
import { compilePattern, fitsGlob } from './pattern.ts';

const fits = (source: string, text: string): boolean | string => {
  const compiled = compileRegex(source);
  return compiled.ok ? compiled.value(text) : compiled.problem.code;
};

/** Random expressions in the part of the syntax that both engines have. */
const { regex } = fc.letrec<{ regex: string; atom: string }>((tie) => ({
  atom: fc.oneof(
    {
      weight: 6,
      arbitrary: fc.constantFrom(
        'a',
        'b',
        'c',
        '.',
        '\\d',
        '\\w',
        '\\s',
        '[ab]',
        '[^a]',
        '[a-c1]',
        '1',
        ' ',
        '\\.',
        '[\\]\\-x]',
      ),
    },
    { weight: 2, arbitrary: tie('regex').map((inside) => `(${inside})`) },
    { weight: 1, arbitrary: tie('regex').map((inside) => `(?:${inside})`) },
  ),
  regex: fc
    .array(
      fc.oneof(
        {
          weight: 5,
          arbitrary: fc
            .tuple(tie('atom'), fc.constantFrom('', '', '', '*', '+', '?', '{2}', '{1,3}', '{2,}', '*?'))
            .map(([atom, count]) => atom + count),
        },
        { weight: 1, arbitrary: fc.constantFrom('^', '$', '\\b', '\\B', '|') },
      ),
      { maxLength: 4 },
    )
    .map((parts) => parts.join('')),
}));
const text = fc.string({
  // No halves to be had: between the halves of a character V8 sees a \\B where there is no place at all.
  unit: fc.constantFrom('a', 'b', 'c', '1', ' ', '.', 'é', '漢', '\n'),
  maxLength: 12,
});

// The outside reference is the browser's own engine (ECMAScript RegExp with the u flag).
test('fits exactly where the ECMAScript engine fits', () => {
  fc.assert(
    fc.property(regex, text, (source, value) => {
      expect(fits(source, value)).toBe(new RegExp(source, 'u').test(value));
    }),
    { numRuns: 3000 },
  );
});

test('any text is compiled or refused with its place, never thrown', () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(...'ab(|)[]^-*+?{},12\\dw$.') }), (source) => {
      const compiled = compileRegex(source);
      if (!compiled.ok) expect(compiled.problem.at).toBeLessThanOrEqual(source.length);
      else expect(typeof compiled.value('ab12')).toBe('boolean');
    }),
    { numRuns: 2000 },
  );
});

test.each([
  ['(a', 'regex-unclosed', 0],
  ['x[ab', 'regex-unclosed', 1],
  ['a\\', 'regex-unclosed', 1],
  ['*a', 'regex-nothing-to-repeat', 0],
  ['a**', 'regex-nothing-to-repeat', 2],
  ['(?=a)', 'regex-not-supported', 0],
  ['(?<!a)b', 'regex-not-supported', 0],
  ['(a)\\1', 'regex-not-supported', 3],
  ['[b-a]', 'regex-bad-range', 1],
  ['a{3,2}', 'regex-bad-range', 1],
  ['a)', 'regex-stray', 1],
  ['a{9999}', 'regex-too-large', 1],
  ['((a{100}){100}){100}', 'regex-too-large', 0],
])('refuses %s: %s at %i', (source, code, at) => {
  expect(compileRegex(source)).toMatchObject({ ok: false, problem: { code, at } });
});

// Classic expressions on which engines that backtrack take time without end (OWASP, "Regular expression
// Denial of Service"; from memory). Steps are counted, not seconds: each character is asked about at most
// once for each instruction.
test.each([
  ['(a+)+$'],
  ['^([a-zA-Z]+)*$'],
  ['(a|aa)+$'],
  ['^(a|a?)+$'],
  ['(.*a){12}$'],
  ['(a*)*b'],
  ['a?a?a?a?a?a?a?a?a?a?aaaaaaaaaa$'],
])('cannot be stalled by %s', (source) => {
  const compiled = compileRegex(source);
  if (!compiled.ok) throw new Error(compiled.problem.code);
  expect(compiled.value(`${'a'.repeat(1000)}!`)).toBe(false);
});

test.each([
  ['*', '', true],
  ['lark*', 'larkframe', true],
  ['*frame', 'larkframe', true],
  ['l?rk*e', 'larkframe', true],
  ['lark', 'larkframe', false],
  ['a*b*c', 'a-b-b-c', true],
  ['a*b*c', 'a-b-b-d', false],
  ['*.*', 'shot', false],
  ['[a]', 'a', false],
])('glob %s fits %s: %s', (glob, value, expected) => {
  expect(fitsGlob(glob, value)).toBe(expected);
});

test('a glob fits where its regular expression does', () => {
  const glob = fc.string({ unit: fc.constantFrom('a', 'b', '*', '?'), maxLength: 8 });
  const value = fc.string({ unit: fc.constantFrom('a', 'b'), maxLength: 10 });
  fc.assert(
    fc.property(glob, value, (pattern, name) => {
      const source = `^${pattern.replaceAll('*', '.*').replaceAll('?', '.')}$`;
      expect(fitsGlob(pattern, name)).toBe(new RegExp(source).test(name));
    }),
    { numRuns: 1000 },
  );
});

test('patterns compare as they say', () => {
  const compiled = (match: 'exact' | 'glob' | 'regex', pattern: string, value: string) => {
    const result = compilePattern({ match, text: pattern });
    return result.ok && result.value(value);
  };
  expect(compiled('exact', 'a*', 'a*')).toBe(true);
  expect(compiled('exact', 'a*', 'ab')).toBe(false);
  expect(compiled('glob', 'a*', 'ab')).toBe(true);
  expect(compiled('regex', '^a.$', 'ab')).toBe(true);
});
