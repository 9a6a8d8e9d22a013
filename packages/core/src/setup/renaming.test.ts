import fc from 'fast-check';
import { arbitrarySetup, fuzz } from '../testing/index.ts';
import { checkSetup } from './findFaults.ts';
import { namedByBinding, namedByMacro } from './references.ts';
import { renamed } from './renaming.ts';
import { BASE_LAYER, EVERYWHERE, type Setup } from './setup.ts';

/** Everything but what there always is gets another id. */
const longer = (kind: string, id: string) =>
  id === EVERYWHERE || id === BASE_LAYER ? id : `${id}-${kind[0]}x`;
const shorter = (_kind: string, id: string) => id.replace(/-.x$/, '');

test('everything may have another id: the set-up stays sound, and is the same again with the old ones', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      const other = renamed(setup, longer);
      expect(checkSetup(other)).toEqual([]);
      expect(renamed(other, shorter)).toEqual(setup);
    }),
    240,
  );
});

test('nothing in it goes by the old id any more', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      const named = ({ profiles, macros }: Setup) => [
        ...Object.values(profiles).flatMap(({ bindings }) => Object.values(bindings).flatMap(namedByBinding)),
        ...macros.flatMap(namedByMacro),
      ];
      const to = named(renamed(setup, longer));
      expect(to).toEqual(named(setup).map(({ kind, id }) => ({ kind, id: longer(kind, id) })));
    }),
    240,
  );
});
