import fc from 'fast-check';
import type { Edit } from './edit.ts';
import { entrySchema, historyOf, type Recorded as Row } from './history.ts';

const edit: Edit = { kind: 'remove', at: 'programs/larkframe' };
const row = (id: string, role: Row['role'] = 'do', of: string | null = null): Row => ({
  id,
  edit,
  inverse: edit,
  role,
  of,
});
const ids = (rows: readonly Row[]) => rows.map(({ id }) => id).join('');

test.each<[string, Row[], string, string]>([
  ['nothing', [], '', ''],
  ['two edits', [row('a'), row('b')], 'ab', ''],
  ['one undone', [row('a'), row('b'), row('c', 'undo', 'b')], 'a', 'b'],
  ['undone and done again', [row('a'), row('b', 'undo', 'a'), row('c', 'redo', 'a')], 'a', ''],
  ['a new edit drops what was undone', [row('a'), row('b', 'undo', 'a'), row('c')], 'c', ''],
  ['both undone', [row('a'), row('b'), row('c', 'undo', 'b'), row('d', 'undo', 'a')], '', 'ba'],
  ['of something older than the log kept', [row('c', 'undo', 'z')], '', ''],
])('%s', (_name, rows, undo, redo) => {
  const history = historyOf(rows);
  expect([ids(history.undo), ids(history.redo)]).toEqual([undo, redo]);
});

test('says when older entries are needed to know what can be done again', () => {
  expect(historyOf([row('c', 'undo', 'z')]).needsOlder).toBe(true);
  expect(historyOf([row('c', 'undo', 'z'), row('d')]).needsOlder).toBe(false);
  expect(historyOf([row('z'), row('c', 'undo', 'z')]).needsOlder).toBe(false);
});

test('what cannot be read is passed over', () => {
  const lost = { ...row('b'), edit: null, inverse: null };
  expect(ids(historyOf([row('a'), lost]).undo)).toBe('a');
});

test('nobody may send parts that cannot be read, nor change them; they may be removed', () => {
  const author = { id: '00000000-0000-4000-8000-000000000001', name: 'Bench' };
  const stored = { id: 'hold-a-frame', name: 'x', position: 0, body: {} };
  const item = { id: 'macro-1', part: 'macro', name: 'x', wrong: '', stored };
  const at = 'unreadable/macro-1';
  const edits: readonly (readonly [object, boolean])[] = [
    [{ kind: 'remove', at }, true],
    [{ kind: 'add', at, item, after: null }, false],
    [{ kind: 'set', at, fields: { stored } }, false],
    [
      {
        kind: 'together',
        edits: [
          { kind: 'remove', at },
          { kind: 'add', at, item, after: null },
        ],
      },
      false,
    ],
  ];
  for (const [sent, may] of edits) {
    const entry = { id: author.id, author, base: 0, role: 'do', edit: sent };
    expect(entrySchema.safeParse(entry).success).toBe(may);
  }
});

test('undoing everything and doing it again ends where it began', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), (count) => {
      const rows = Array.from({ length: count }, (_, i) => row(`e${i}`));
      const undone = rows.toReversed().map(({ id }) => row(`u${id}`, 'undo', id));
      const redone = rows.map(({ id }) => row(`r${id}`, 'redo', id));
      expect(ids(historyOf([...rows, ...undone]).redo)).toBe(ids(rows.toReversed()));
      expect(ids(historyOf([...rows, ...undone, ...redone]).undo)).toBe(ids(rows));
    }),
  );
});
