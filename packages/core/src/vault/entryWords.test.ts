import { acting, applyEdit, demoSetup, type Edit, itemAt, OFF, type PressStyle } from '../setup/index.ts';
import { entryParts, entryWords } from './entryWords.ts';

const setup = demoSetup();

/** An edit as the log has it, and the set-up after it. */
function made(edit: Edit, role: 'do' | 'undo' | 'redo' = 'do') {
  const applied = applyEdit(setup, edit);
  if (!applied.ok) throw new Error('not in the demo');
  const { inverse } = applied.value;
  const entry = role === 'undo' ? { edit: inverse, inverse: edit, role } : { edit, inverse, role };
  return { entry, after: role === 'undo' ? setup : applied.value.setup };
}
const told = (edit: Edit, role?: 'do' | 'undo' | 'redo') => {
  const { entry, after } = made(edit, role);
  return entryWords(after, entry);
};

const at = 'profiles/larkframe/bindings/base/twelve-pad/key-5/press';
const sends = (shortcut: string, style: PressStyle = 'tap') =>
  ({
    kind: 'set',
    at,
    fields: { behaviour: acting({ kind: 'shortcut', shortcut }, style) },
  }) satisfies Edit;
const rename = {
  kind: 'set',
  at: itemAt.device('bench-dial'),
  fields: { name: 'Big dial' },
} satisfies Edit;

const hold: Edit = { kind: 'set', at: itemAt.device('bench-dial'), fields: { 'settings.holdMs': 400 } };

test.each<[words: string, edit: Edit]>([
  ['rename Bench dial to Big dial', rename],
  ['set Twelve pad, key 5 in Larkframe to Ctrl+Alt+F7', sends('Ctrl+Alt+F7')],
  ['set Twelve pad, key 5 in Larkframe to Ctrl+Alt+F7, latch', sends('Ctrl+Alt+F7', 'latch')],
  ['set Twelve pad, key 5 in Larkframe to off', { kind: 'set', at, fields: { behaviour: OFF } }],
  ['note on Twelve pad, key 5 in Larkframe', { kind: 'set', at, fields: { note: 'why' } }],
  ['change Bench dial (Time of a hold, ms: 250 → 400)', hold],
  [
    'remove the step “wait 500 ms” of Hold a frame',
    { kind: 'remove', at: 'macros/hold-a-frame/steps/step-2' },
  ],
])('%s', (words, edit) => expect(told(edit)).toBe(words));

test('what is gone is called as it was called', () => {
  expect(told({ kind: 'remove', at: itemAt.device('six-pad') })).toMatch(/^remove Six pad/);
});

test('what was taken back is called as it was done, what was done again as well', () => {
  expect(told(rename, 'undo')).toBe('took back: rename Bench dial to Big dial');
  expect(told(rename, 'redo')).toBe('did again: rename Bench dial to Big dial');
});

test('where nothing leads back any more, or nothing can be read, less is told', () => {
  const { entry } = made(rename);
  expect(entryWords(setup, { ...entry, inverse: null })).toBe('rename to Big dial');
  expect(entryWords(setup, { ...made(hold).entry, inverse: null })).toBe(
    'change Bench dial (Time of a hold, ms)',
  );
  expect(entryWords(setup, { ...made(hold, 'undo').entry, inverse: null })).toMatch(/^took back: change/);
  expect(entryWords(setup, { ...entry, edit: null })).toBe('an edit that cannot be read any more');
  expect(entryParts(setup, { ...entry, edit: null })).toEqual([]);
});

test('everything that an edit is about is told, each once', () => {
  const edit: Edit = { kind: 'together', edits: [rename, sends('Q'), sends('Q')] };
  const { entry } = made(edit);
  expect(entryParts(setup, entry)).toEqual([
    'rename Bench dial to Big dial',
    'set Twelve pad, key 5 in Larkframe to Q',
  ]);
});
