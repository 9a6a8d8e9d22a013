import {
  brokenFields,
  FIELD_KINDS,
  filledText,
  hasFields,
  type TextFacts,
  USUAL_FIELDS,
} from './textFields.ts';

const counters = new Map<string, number>();
const FACTS: TextFacts = {
  now: new Date(2026, 10, 7, 9, 5, 3),
  clipboard: 'wing ‹date› left',
  count: (name, from) => {
    const next = (counters.get(name) ?? from - 1) + 1;
    counters.set(name, next);
    return next;
  },
};
beforeEach(() => counters.clear());

// Letters of dates and times as in Unicode Technical Standard 35, part 4, “Date Format Patterns”.
test.each([
  ['plain words', 'plain words'],
  ['Card of ‹date yyyy-MM-dd›', 'Card of 2026-11-07'],
  ['‹date d MMM yy›, ‹time HH:mm›', '7 Nov 26, 09:05'],
  ["‹time H 'h' mm:ss›", '9 h 05:03'],
  ['‹date› at ‹time›', '2026-11-07 at 09:05'],
  ['‹counter› ‹counter› ‹counter takes 001› ‹counter takes 001›', '1 2 001 002'],
  // What is put in is not read again.
  ['‹clipboard›', 'wing ‹date› left'],
  ['‹date YYYY-nn›', '‹date YYYY-nn›'],
  ['‹counter many›', '‹counter many›'],
  ['‹clipboard twice›', '‹clipboard twice›'],
  // Asked before it comes here.
  ['‹ask Which?›', '‹ask Which?›'],
  ['‹unheard of› and ‹', '‹unheard of› and ‹'],
])('%s is typed as %s', (text, typed) => {
  expect(filledText(text, FACTS)).toBe(typed);
});

test('fields that cannot be filled in are told, others are not', () => {
  expect(brokenFields('‹date YYYY-nn› ‹date yyyy› ‹counter many› ‹unheard of›')).toEqual([
    '‹date YYYY-nn›',
    '‹counter many›',
  ]);
  expect(hasFields('a ‹clipboard›')).toBe(true);
  expect(hasFields('a ‹b›')).toBe(false);
  for (const kind of FIELD_KINDS) expect(brokenFields(USUAL_FIELDS[kind])).toEqual([]);
});
