import { foldPhrase } from './foldPhrase.ts';
import { closestPhrase, readWordings, wordingsOf } from './phrases.ts';
import { voice } from './voice.ts';

const rig = [voice('voice', ['Next shot', 'Take it', 'Undo that'])];

test.each<[string, string, string[]]>([
  ['Next shot', 'Next shot', []],
  ['Next shot | next one|  go on ', 'Next shot', ['next one', 'go on']],
  ['Take it | take  IT. | | Take that', 'Take it', ['Take that']],
  ['| only one', 'only one', []],
])('%j is a phrase with its wordings', (line, phrase, spellings) => {
  expect(readWordings(line)).toEqual({ phrase, spellings });
});

test.each(['', '  ', '|', ' | | '])('%j says nothing', (line) => {
  expect(readWordings(line)).toBeNull();
});

test('a control’s wordings in a line are read back as they are', () => {
  const [control] = rig[0]?.controls ?? [];
  if (!control) throw new Error('no control');
  const own = { ...control, spellings: ['next one', 'weiter'] };
  expect(readWordings(wordingsOf(own))).toEqual({ phrase: 'Next shot', spellings: ['next one', 'weiter'] });
});

test.each([
  ['next shod', 'Next shot'],
  ['tak eat', 'Take it'],
  ['UNDO', 'Undo that'],
])('%j is closest to %j', (heard, phrase) => {
  expect(closestPhrase(rig, heard)).toBe(phrase);
});

test('without a phrase nothing is close', () => {
  expect(closestPhrase([], foldPhrase('anything'))).toBeNull();
});
