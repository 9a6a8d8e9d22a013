import { demoSetup, type Edit, itemAt, type LogEntry } from '../setup/index.ts';
import { aboutOf } from './about.ts';
import { sittingsOf } from './sittings.ts';

const ME = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren' };
const NAMED: Edit = { kind: 'set', at: itemAt.device('bench-dial'), fields: { name: 'Dial' } };

const entry = (revision: number, at: string): LogEntry => ({
  id: `00000000-0000-4000-8000-${String(revision).padStart(12, '0')}`,
  author: ME,
  base: revision - 1,
  role: 'do',
  of: null,
  revision,
  edit: NAMED,
  inverse: NAMED,
  at,
});

test('edits of a day without a long pause are one sitting; a pause or another day begins another', () => {
  const entries = [
    entry(5, '2026-11-24T00:05:00.000Z'),
    entry(4, '2026-11-23T23:50:00.000Z'),
    entry(3, '2026-11-23T23:20:00.000Z'),
    entry(2, '2026-11-23T22:49:59.000Z'),
    entry(1, '2026-11-20T09:00:00.000Z'),
  ];
  const told = sittingsOf(entries, ({ at }) => at.slice(0, 10));
  expect(told.map(({ day, entries: own }) => [day, own.map(({ revision }) => revision)])).toEqual([
    ['2026-11-24', [5]],
    ['2026-11-23', [4, 3]],
    ['2026-11-23', [2]],
    ['2026-11-20', [1]],
  ]);
  expect(sittingsOf([], ({ at }) => at)).toEqual([]);
});

test('an edit is about the device and the program of what is bound, and about what it changes itself', () => {
  const setup = demoSetup();
  const about = (edit: Edit) => {
    const { devices, programs, macros } = aboutOf(setup, edit);
    return [[...devices], [...programs], [...macros]];
  };
  expect(about(NAMED)).toEqual([['bench-dial'], [], []]);
  const bound = 'profiles/larkframe/bindings/base/bench-dial/dial/press';
  expect(about({ kind: 'remove', at: bound })).toEqual([['bench-dial'], ['larkframe'], []]);
  const macro = setup.macros[0]?.id ?? '';
  expect(about({ kind: 'remove', at: itemAt.macro(macro) })).toEqual([[], [], [macro]]);
});
