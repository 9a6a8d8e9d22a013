import fc from 'fast-check';
import { demoSetup, type Edit, itemAt } from '../setup/index.ts';
import { aboutOf } from './about.ts';
import { momentsSchema, packMoments, unpackMoments } from './moments.ts';
import { sittingsOf } from './sittings.ts';

const ME = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren' };
const NAMED: Edit = { kind: 'set', at: itemAt.device('bench-dial'), fields: { name: 'Dial' } };

const moment = (revision: number, at: string) => ({ revision, at: Date.parse(at), author: ME });
const dayOf = (at: number) => Math.floor(at / 86_400_000);

test('edits of a day without a long pause are one sitting; a pause or another day begins another', () => {
  const moments = [
    moment(5, '2026-11-24T00:05:00.000Z'),
    moment(4, '2026-11-23T23:50:00.000Z'),
    moment(3, '2026-11-23T23:20:00.000Z'),
    moment(2, '2026-11-23T22:49:59.000Z'),
    moment(1, '2026-11-20T09:00:00.000Z'),
  ];
  const told = sittingsOf(moments, dayOf);
  const first = dayOf(Date.parse('2026-11-20T00:00:00Z'));
  expect(told.map(({ day, moments: own }) => [day - first, own.map(({ revision }) => revision)])).toEqual([
    [4, [5]],
    [3, [4, 3]],
    [3, [2]],
    [0, [1]],
  ]);
  expect(sittingsOf([], dayOf)).toEqual([]);
});

test('moments are sent in little and come out as they were, to the second', () => {
  const author = fc.constantFrom(ME, { ...ME, name: 'Wren, later' }, { ...ME, id: ME.id.replace('1', '2') });
  const made = fc.array(fc.tuple(fc.integer({ min: 0, max: 4e12 }), author), { maxLength: 40 });
  fc.assert(
    fc.property(made, fc.nat(1000), (list, after) => {
      const moments = list.map(([at, by], i) => ({ revision: after + i + 1, at, author: by }));
      const sent = momentsSchema.parse(JSON.parse(JSON.stringify(packMoments(moments))));
      expect(unpackMoments(sent, after)).toEqual(
        moments.map((each) => ({ ...each, at: Math.floor(each.at / 1000) * 1000 })),
      );
    }),
  );
  expect(unpackMoments({ authors: [], at: [5], by: [0] }, 0)).toEqual([]);
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
