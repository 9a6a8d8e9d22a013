import { type BareStep, type Macro, newMacro, numberSteps } from '../setup/index.ts';
import { bound, events, short, smallSetup } from '../testing/index.ts';
import { answeredText, questionsOf } from './ask.ts';
import { type Simulated, simulate } from './simulate.ts';
import { INITIAL_STATE } from './state.ts';

const STEPS: BareStep[] = [
  { kind: 'key-down', code: 'KeyF' },
  { kind: 'wait', ms: 10 },
  { kind: 'text', text: 'Wing ‹ask Which one?›, ‹ask›!' },
  { kind: 'wait', ms: 100 },
  { kind: 'text', text: 'done' },
];
const RUNS = { kind: 'macro', macro: 'asks' } as const;

function asked(lines: readonly string[], more: Partial<Macro> = {}): Simulated {
  const asks = newMacro({ id: 'asks', name: 'Asks', steps: numberSteps(STEPS), ...more });
  const setup = smallSetup();
  const rows = [['everywhere pad/key-1 press', RUNS]] as const;
  return simulate(bound(rows, { ...setup, macros: [...setup.macros, asks] }), events(...lines));
}

const PRESSED = ['0 front larkframe', '1 down pad/key-1', '2 up pad/key-1'];
const typed = (...texts: string[]) => texts.join(' ');
const up = (t: number) => `@${t} -KeyF`;
/** What is held is lifted round text, and put back. */
const text = (t: number, words: string) => `@${t} “${words}”`;

test.each<[string, string[], string, Partial<Macro>]>([
  [
    'answered: it is typed at once, and the steps go on from there',
    [...PRESSED, '400 answer asks left 7', '900 time'],
    typed('@1 +KeyF', text(400, 'Wing left, 7!'), text(500, 'done'), up(500)),
    {},
  ],
  [
    'answered twice: the second answers nothing',
    [...PRESSED, '400 answer asks left 7', '450 answer asks right 8', '900 time'],
    typed('@1 +KeyF', text(400, 'Wing left, 7!'), text(500, 'done'), up(500)),
    {},
  ],
  [
    'a question without an answer is nothing',
    [...PRESSED, '400 answer asks left', '450 time'],
    typed('@1 +KeyF', text(400, 'Wing left, !')),
    {},
  ],
  [
    'nobody wants to answer: it stops and lets go',
    [...PRESSED, '400 answer asks', '900 time'],
    `@1 +KeyF ${up(400)}`,
    {},
  ],
  ['nobody answers: it stops after a minute', [...PRESSED, '99999 time'], `@1 +KeyF ${up(60_011)}`, {}],
  [
    'answered before it is asked: that answers nothing',
    ['0 front larkframe', '1 down pad/key-1', '5 answer asks left 7', '99 time'],
    '@1 +KeyF',
    {},
  ],
  [
    'all is let go of while it asks',
    [...PRESSED, '400 reset', '500 answer asks left 7'],
    `@1 +KeyF ${up(400)}`,
    {},
  ],
  [
    'pressed again while it asks: begun anew, it asks anew',
    [
      ...PRESSED,
      '300 down pad/key-1',
      '301 up pad/key-1',
      '305 answer asks left 7',
      '400 answer asks right 8',
    ],
    typed('@1 +KeyF', up(300), '@300 +KeyF', text(400, 'Wing right, 8!')),
    { again: 'restart' },
  ],
  [
    'the pace counts from what was sent, not from the answer',
    [...PRESSED, '20 answer asks left 7', '900 time'],
    typed('@1 +KeyF', text(301, 'Wing left, 7!'), text(601, 'done'), up(901)),
    { pace: 300 },
  ],
])('%s', (_name, lines, strokes, more) => {
  const { strokes: sent, state } = asked([...lines, '999 time'], more);
  expect(short({ strokes: sent })).toContain(strokes);
  if (strokes.includes('-KeyF') && !more.again) expect(state.running).toEqual(INITIAL_STATE.running);
});

test('it says that it asks, and that nobody answered in time', () => {
  const told = (lines: readonly string[]) =>
    asked(lines).explanations.flatMap(({ changes, outcome }) => [
      ...changes.flatMap((change) => (change.kind === 'ask' ? [`${change.step} ${change.how}`] : [])),
      ...(outcome.kind === 'ignored' ? [outcome.why] : []),
    ]);
  expect(told([...PRESSED, '70000 time', '70001 answer asks x'])).toEqual([
    'step-3 asks',
    'step-3 late',
    'not-asked',
  ]);
});

test('questions and answers of a text, in their order; what is answered is not read again', () => {
  expect(questionsOf('‹ask Which?› ‹date› ‹ask›')).toEqual(['Which?', '']);
  expect(questionsOf('ask Which?')).toEqual([]);
  expect(answeredText('a ‹ask x› b ‹ask› c', ['$&', '‹date›', 'more'])).toBe('a $& b date c');
});
