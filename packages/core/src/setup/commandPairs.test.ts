import fc from 'fast-check';
import { commandPairs } from './commandPairs.ts';
import { demoSetup } from './demo/demoSetup.ts';
import type { Command } from './setup.ts';

const named = (...names: readonly string[]): Command[] =>
  names.map((name, i) => ({
    id: `c-${i}`,
    name,
    shortcut: 'A',
    family: 'tool',
    intent: null,
    risky: false,
  })) as unknown as Command[];

const wordsOf = (commands: readonly Command[]) =>
  commandPairs(commands).map(({ plus, minus }) => `${plus.name} | ${minus.name}`);

test.each<[string, readonly string[], readonly string[]]>([
  ['one word differs', ['Brush smaller', 'Save', 'Brush larger'], ['Brush larger | Brush smaller']],
  ['whatever the case', ['NEXT shot', 'previous Shot'], ['NEXT shot | previous Shot']],
  ['one word alone', ['Undo', 'Redo'], ['Redo | Undo']],
  [
    'in the middle',
    ['Step one frame back', 'Step one frame on'],
    ['Step one frame on | Step one frame back'],
  ],
  ['two words differ', ['Zoom in', 'Pan out'], []],
  ['a word that only contains one', ['Find', 'Fout'], []],
  ['each in one pair only', ['Softer', 'Louder', 'Harder'], ['Harder | Softer']],
  ['nothing', [], []],
])('pairs by names: %s', (_name, names, pairs) => {
  expect(wordsOf(named(...names)).toSorted()).toEqual([...pairs].toSorted());
});

test('the programs of the demo have the pairs one would turn a dial for', () => {
  const pairs = demoSetup().programs.flatMap(({ commands }) => wordsOf(commands));
  for (const pair of ['Brush larger | Brush smaller', 'Step one frame on | Step one frame back'])
    expect(pairs).toContain(pair);
});

test('no command is in two pairs, and none is paired with itself', () => {
  const word = fc.constantFrom(
    'brush',
    'larger',
    'smaller',
    'next',
    'previous',
    'softer',
    'louder',
    'harder',
  );
  const name = fc.array(word, { minLength: 1, maxLength: 3 }).map((words) => words.join(' '));
  fc.assert(
    fc.property(fc.uniqueArray(name, { maxLength: 30 }), (names) => {
      const ids = commandPairs(named(...names)).flatMap(({ plus, minus }) => [plus.id, minus.id]);
      expect(new Set(ids).size).toBe(ids.length);
    }),
  );
});
