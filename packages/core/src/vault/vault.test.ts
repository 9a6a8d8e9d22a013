import fc from 'fast-check';
import {
  applyEdit,
  demoSetup,
  type Edit,
  itemAt,
  type LogEntry,
  MOST_TOGETHER,
  partsOf,
  type Setup,
} from '../setup/index.ts';
import { arbitraryEdit, arbitrarySetup } from '../testing/index.ts';
import { aboutOf } from './about.ts';
import { sittingsOf } from './sittings.ts';
import { wayBackTo } from './wayBackTo.ts';

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

test('the way back leads to the very set-up that was, and can itself be taken back', () => {
  const edits = arbitrarySetup.chain((setup) =>
    fc.tuple(fc.constant(setup), fc.array(arbitraryEdit(setup), { maxLength: 12 })),
  );
  fc.assert(
    fc.property(edits, fc.nat(12), ([first, made], from) => {
      const states: Setup[] = [first];
      const inverses: Edit[] = [];
      for (const edit of made) {
        const applied = applyEdit(states.at(-1) ?? first, edit);
        if (!applied.ok) continue;
        states.push(applied.value.setup);
        inverses.push(applied.value.inverse);
      }
      const to = Math.min(from, inverses.length);
      const now = states.at(-1) ?? first;
      const way = wayBackTo(
        inverses
          .slice(to)
          .reverse()
          .map((inverse) => ({ inverse })),
      );
      if (way.kind !== 'edit') {
        expect(way.kind).toBe('there');
        expect(now).toEqual(states[to]);
        return;
      }
      const back = applyEdit(now, way.edit);
      if (!back.ok) throw new Error(JSON.stringify(back.problem));
      expect(back.value.setup).toEqual(states[to]);
      const forth = applyEdit(back.value.setup, back.value.inverse);
      expect(forth.ok && forth.value.setup).toEqual(now);
    }),
    { numRuns: 60 },
  );
});

test('a slider set a hundred times goes back once', () => {
  const set = (ms: number): Edit => ({
    kind: 'set',
    at: itemAt.device('bench-dial'),
    fields: { 'settings.holdMs': ms },
  });
  const way = wayBackTo([300, 290, 280].map((ms) => ({ inverse: set(ms) })));
  expect(way).toEqual({ kind: 'edit', edit: set(280) });
  // One field inside another is not joined with it.
  const faces = wayBackTo([
    { inverse: { kind: 'set', at: 'x', fields: { 'face.label': 'A' } } },
    { inverse: { kind: 'set', at: 'x', fields: { face: null } } },
  ]);
  expect(faces.kind === 'edit' && partsOf(faces.edit)).toHaveLength(2);
});

test('without an edit in between that can be read there is no way; nor one of more than apply at once', () => {
  expect(wayBackTo([])).toEqual({ kind: 'there' });
  expect(wayBackTo([{ inverse: NAMED }, { inverse: null }])).toEqual({ kind: 'unknown' });
  const many = Array.from({ length: MOST_TOGETHER + 1 }, (_, i) => ({
    inverse: { kind: 'remove', at: itemAt.macro(`m-${i}`) } as const,
  }));
  expect(wayBackTo(many)).toEqual({ kind: 'too-many' });
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
