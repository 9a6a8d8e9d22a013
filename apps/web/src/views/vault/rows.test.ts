import { applyEdit, demoSetup, type Edit, itemAt, type LogEntry } from '@nimble-lever/core/setup';
import { digestOf, rowsOf } from './rows.ts';

const setup = demoSetup();
const WREN = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren' };
const TEAL = { id: '00000000-0000-4000-8000-000000000002', name: 'Teal' };
const rename: Edit = { kind: 'set', at: itemAt.device('bench-dial'), fields: { name: 'Big dial' } };
const bind: Edit = {
  kind: 'set',
  at: 'profiles/larkframe/bindings/base/twelve-pad/key-1/press',
  fields: { note: 'why' },
};

function entry(revision: number, edit: Edit, more: Partial<LogEntry> = {}): LogEntry {
  const applied = applyEdit(setup, edit);
  return {
    id: `00000000-0000-4000-8000-${String(revision).padStart(12, '0')}`,
    author: WREN,
    base: 0,
    role: 'do',
    of: null,
    revision,
    edit,
    inverse: applied.ok ? applied.value.inverse : null,
    at: new Date(Date.UTC(2026, 10, 20, 12, revision)).toISOString(),
    ...more,
  };
}
const ALL = { search: '', about: null, by: null };
const later = new Date(Date.UTC(2026, 10, 23, 12)).toISOString();
const LOG = [entry(1, bind), entry(2, rename), entry(3, rename, { at: later, author: TEAL, role: 'undo' })];
const MOMENTS = LOG.map(({ revision, at, author }) => ({ revision, at: Date.parse(at), author }));
const DIGESTS = new Map(LOG.map((each) => [each.revision, digestOf(setup, each)]));
const told = (filter: Partial<typeof ALL> | object, digests = DIGESTS) =>
  rowsOf(MOMENTS, digests, { ...ALL, ...filter }).map((row) =>
    row.kind === 'sitting' ? `${row.count} from ${row.oldest.revision}` : row.key,
  );

test('edits stand under their sittings, the newest first', () => {
  expect(told({})).toEqual(['1 from 3', 3, '2 from 1', 2, 1]);
});

test.each<[string, object, number[]]>([
  ['by words', { search: 'to big DIAL' }, [2]],
  ['by who made it', { by: TEAL.id }, [3]],
  ['by name of who made it', { search: 'teal' }, [3]],
  ['by device', { about: 'devices/bench-dial' }, [3, 2]],
  ['by program', { about: 'programs/larkframe' }, [1]],
  ['by what nobody changed', { about: 'macros/hold-a-frame' }, []],
])('a filter %s leaves what fits', (_name, filter, revisions) => {
  expect(told(filter).filter((each) => typeof each === 'number')).toEqual(revisions);
});

test('of edits that were not read yet only who made them, and when, is known', () => {
  const none = new Map();
  expect(told({ by: TEAL.id }, none)).toEqual(['1 from 3', 3]);
  expect(told({ search: 'dial' }, none)).toEqual([]);
});
