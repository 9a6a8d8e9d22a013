import { keepRecent, readRecent } from './recent.ts';

function storageOf(text: string | null) {
  let kept = text;
  return {
    getItem: () => kept,
    setItem: (_place: string, value: string) => {
      kept = value;
    },
  };
}

test('the newest stands first, each once, and only so many', () => {
  const storage = storageOf(null);
  for (const key of ['a', 'b', 'a', 'c']) keepRecent(key, storage);
  expect(readRecent(storage)).toEqual(['c', 'a', 'b']);
  for (let i = 0; i < 30; i++) keepRecent(`key ${i}`, storage);
  expect(readRecent(storage)).toHaveLength(12);
});

test.each(['{', '"text"', '[1, 2]', 'null'])('what is kept there otherwise, as %s, is nothing', (text) => {
  expect(readRecent(storageOf(text))).toEqual([]);
});

test('a browser that keeps nothing forgets nothing else', () => {
  const storage = {
    getItem: () => {
      throw new Error('not allowed');
    },
    setItem: () => {
      throw new Error('not allowed');
    },
  };
  expect(keepRecent('a', storage)).toEqual(['a']);
});
