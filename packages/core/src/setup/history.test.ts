import fc from 'fast-check';
import type { Edit } from './edit.ts';
import { historyOf, type LogEntry } from './history.ts';

const edit: Edit = { kind: 'remove-program', program: 'larkframe' };
type Row = Pick<LogEntry, 'id' | 'edit' | 'inverse' | 'role' | 'of'>;
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
