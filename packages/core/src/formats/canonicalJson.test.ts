import fc from 'fast-check';
import { canonicalJson } from './canonicalJson.ts';

test('it is JSON of the same content, whatever the order of names', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      const plain: unknown = JSON.parse(JSON.stringify(value));
      const text = canonicalJson(plain);
      expect(JSON.parse(text)).toEqual(plain);
      expect(canonicalJson(backwards(plain))).toBe(text);
    }),
  );
});

/** The same with the names of every object in the opposite order. */
function backwards(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(backwards);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(([name, own]) => [name, backwards(own)] as const);
  return Object.fromEntries(entries.reverse());
}

test('where no name is a number it is as JSON.stringify lays it out', () => {
  const value = { a: [], b: {}, c: [1, { d: null }], e: 'x\n"' };
  expect(canonicalJson(value)).toBe(`${JSON.stringify(value, null, 2)}\n`);
});

// RFC 8785, section 3.2.3: the names of its example, in the order it gives them.
test('names stand in the order of the example in RFC 8785', () => {
  const names = ['\r', '1', '\u0080', '\u00f6', '\u20ac', '\ud83d\ude00', '\ufb33'];
  const shuffled = [4, 0, 6, 1, 5, 2, 3].map((i) => names[i] ?? '');
  const text = canonicalJson(Object.fromEntries(shuffled.map((name) => [name, true])));
  const places = names.map((name) => text.indexOf(`  ${JSON.stringify(name)}: true`));
  expect(places).toEqual([...places].sort((a, b) => a - b));
  expect(places).not.toContain(-1);
});
