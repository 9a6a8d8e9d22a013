import fc from 'fast-check';
import { AT_FIRST, type Cell, COLUMNS, cellAfter, NEW_ROW, rangeOf, sheetReducer } from './sheetState.ts';

const ORDER = ['a', 'b', 'c', NEW_ROW];
const at = (text: string): Cell => {
  const [row = '', column = ''] = text.split(' ');
  return { row, column: COLUMNS.find((each) => each === column) ?? 'name' };
};

test.each([
  ['a name', 'ArrowDown', false, 'b name'],
  ['a name', 'ArrowUp', false, 'a name'],
  ['c family', 'ArrowDown', true, '+ family'],
  ['b where', 'ArrowRight', false, 'b where'],
  ['b where', 'Home', false, 'b name'],
  ['b risky', 'Home', true, 'a name'],
  ['a name', 'End', true, '+ where'],
  ['b note', 'ArrowLeft', true, 'b name'],
  ['a name', 'PageDown', false, '+ name'],
  ['a name', 'x', false, null],
])('from %s by %s (Ctrl: %s) to %s', (from, key, ctrl, to) => {
  expect(cellAfter(at(from), key, ctrl, ORDER)).toEqual(to === null ? null : at(to));
});

const cell = fc
  .tuple(fc.constantFrom(...ORDER), fc.constantFrom(...COLUMNS))
  .map(([row, column]): Cell => ({ row, column }));

test('a range is the same from whichever corner it was drawn; going somewhere ends it and what was edited', () => {
  fc.assert(
    fc.property(cell, cell, cell, (from, to, next) => {
      const went = sheetReducer(AT_FIRST, { kind: 'went', to: from });
      const ranged = sheetReducer(went, { kind: 'ranged', to });
      const other = sheetReducer(sheetReducer(AT_FIRST, { kind: 'went', to }), { kind: 'ranged', to: from });
      expect(rangeOf(ranged, ORDER)).toEqual(rangeOf(other, ORDER));
      const again = sheetReducer(ranged, { kind: 'ranged', to: next });
      expect(again.anchor).toEqual(from);
      const typing = sheetReducer(again, { kind: 'begun', editing: { kind: 'typing', how: 'all' } });
      expect([typing.active, typing.anchor]).toEqual([next, null]);
      expect(sheetReducer(typing, { kind: 'went', to })).toEqual({ active: to, anchor: null, editing: null });
    }),
  );
  expect(rangeOf(sheetReducer(AT_FIRST, { kind: 'went', to: at('gone name') }), ORDER)).toBeNull();
});
