import fc from 'fast-check';
import { applyEdit, checkSetup, demoSetup, type Setup, settled } from '../setup/index.ts';
import { arbitraryEdit, arbitrarySetup, fuzz } from '../testing/index.ts';
import { differencesBetween, editTo, emptySetup, takeOver, unitsOf } from './index.ts';
import { setupOf } from './units.ts';

/** A set-up after some edits of it. */
const edited = (setup: Setup, edits: readonly Parameters<typeof applyEdit>[1][]) =>
  edits.reduce((now, edit) => {
    const applied = applyEdit(now, edit);
    return applied.ok ? applied.value.setup : now;
  }, setup);

/** Two set-ups: one and the same after edits, or two that have nothing to do with each other. */
const arbitraryPair = fc.oneof(
  arbitrarySetup.chain((setup) =>
    fc
      .array(arbitraryEdit(setup), { maxLength: 15 })
      .map((edits): readonly [Setup, Setup] => [setup, edited(setup, edits)]),
  ),
  fc.tuple(arbitrarySetup, arbitrarySetup),
  arbitrarySetup.map((setup): readonly [Setup, Setup] => [setup, demoSetup()]),
  arbitrarySetup.map((setup): readonly [Setup, Setup] => [setup, emptySetup('Empty')]),
);

test('taken apart and put together a set-up is what it was', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      const units = unitsOf(setup);
      expect(setupOf(units, units, [])).toEqual({ setup, astray: [] });
      expect(differencesBetween(setup, structuredClone(setup))).toEqual([]);
    }),
    200,
  );
});

test('all differences taken over give the other set-up; any of them give a sound one that has those', () => {
  fuzz(
    fc.property(arbitraryPair, fc.array(fc.nat(200), { maxLength: 6 }), ([now, other], picks) => {
      const differences = differencesBetween(now, other).map(({ key }) => key);
      const all = takeOver(now, other, differences);
      if (!all.ok) throw new Error(JSON.stringify(all.problem));
      expect(differencesBetween(all.value.setup, other)).toEqual([]);
      expect(all.value.along).toEqual([]);
      const wanted = [...new Set(picks.flatMap((pick) => differences[pick % differences.length] ?? []))];
      const some = takeOver(now, other, wanted);
      if (!some.ok) throw new Error(JSON.stringify(some.problem));
      expect(checkSetup(some.value.setup)).toEqual([]);
      const left = new Set(differencesBetween(some.value.setup, other).map(({ key }) => key));
      expect(wanted.filter((key) => left.has(key))).toEqual([]);
      const untouched = differences.filter((key) => !wanted.includes(key) && !some.value.along.includes(key));
      expect(untouched.filter((key) => !left.has(key))).toEqual([]);
    }),
    240,
  );
});

test('one edit leads from any set-up to any other, and back', () => {
  fuzz(
    fc.property(arbitraryPair, ([from, to]) => {
      const way = editTo(from, to);
      if (way.kind === 'there') return expect(to).toEqual(from);
      if (way.kind !== 'edit') throw new Error(way.kind);
      const there = applyEdit(from, way.edit);
      if (!there.ok) throw new Error(JSON.stringify(there.problem));
      expect(settled(there.value.setup)).toEqual(to);
      const back = applyEdit(there.value.setup, there.value.inverse);
      expect(back.ok && back.value.setup).toEqual(from);
    }),
    240,
  );
});
