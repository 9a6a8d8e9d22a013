import fc from 'fast-check';
import { cutName, foldName, nameSchema } from './names.ts';

test.each([
  ['\u200b', false],
  ['\u2060\ufeff\u00ad', false],
  ['\u3164', false],
  ['\u2800', false],
  ['\u0301', false],
  ['   ', false],
  ['a\nb', false],
  ['x\ud83d', false],
  ['a', true],
  ['漢', true],
  ['🪶', true],
  ['…', true],
  ['ع', true],
  [' Bench dial ', true],
])('%j is a name: %s', (text, is) => {
  expect(nameSchema.safeParse(text).success).toBe(is);
});

test('a name is cut between what people see as characters, never inside one', () => {
  const family = '👩‍👩‍👧‍👦';
  expect(cutName(`${'a'.repeat(55)}${family}`)).toBe('a'.repeat(55));
  expect(cutName(`${'a'.repeat(49)}${family}`)).toBe(`${'a'.repeat(49)}${family}`);
  const text = fc.array(fc.constantFrom('a', 'é', 'e\u0301', '🪶', family, ' ', '漢', '🇩🇪'), {
    maxLength: 60,
  });
  fc.assert(
    fc.property(text, fc.integer({ min: 1, max: 60 }), (pieces, most) => {
      const whole = pieces.join('');
      const cut = cutName(whole, most);
      expect(cut.length).toBeLessThanOrEqual(most);
      expect(whole.startsWith(cut)).toBe(true);
      expect(/[\ud800-\udbff]$/.test(cut)).toBe(false);
      if (whole.length <= most) expect(cut).toBe(whole);
    }),
  );
});

test.each([
  ['Brindle', 'BRINDLE', true],
  ['ΟΔΟΣ', 'οδος', true],
  ['οδοσ', 'οδος', true],
  ['İz', 'iz', false],
  ['e\u0301', 'é', true],
  ['Straße', 'STRASSE', true],
  ['Tallow', 'Hushbox', false],
])('%s and %s are taken for the same: %s', (one, other, same) => {
  expect(foldName(one) === foldName(other)).toBe(same);
});
