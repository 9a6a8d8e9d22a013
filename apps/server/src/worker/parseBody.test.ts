import fc from 'fast-check';
import { MOST_DEEP, parseBody } from './parseBody.ts';

test('however texts, lists and escapes stand in it, a body is told deep or much only where it is', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  fc.assert(
    fc.property(fc.json({ maxDepth: 20 }), (text) => {
      expect(parseBody(bytes(text))).toEqual(JSON.parse(text));
    }),
  );
  const deep = (depth: number) => bytes(`${'['.repeat(depth)}"]\\"]["${']'.repeat(depth)}`);
  expect(() => parseBody(deep(MOST_DEEP))).not.toThrow();
  expect(() => parseBody(deep(MOST_DEEP + 1))).toThrow('lists within lists');
});
