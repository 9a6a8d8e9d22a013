import fc from 'fast-check';
import type { Edit, Setup, SingleEdit } from '../setup/index.ts';
import { arbitraryFace, arbitrarySlotBinding } from './arbitraryBinding.ts';

function arbitraryPartEdit(setup: Setup): fc.Arbitrary<SingleEdit> {
  const at = fc.integer({ min: 0, max: 3 });
  const lists = [
    ['set-device', setup.devices],
    ['set-layer', setup.layers],
    ['set-macro', setup.macros],
    ['set-radial-menu', setup.radialMenus],
  ] as const;
  const edits = lists.flatMap(([kind, list]) =>
    list.map(({ id }) => ({ kind, id, item: list.find((item) => item.id === id) ?? null })),
  );
  return fc
    .tuple(fc.constantFrom(...edits), at, fc.constantFrom('same', 'renamed', 'gone', 'copied'))
    .map(([{ kind, id, item }, place, how]) => {
      if (how === 'gone' || !item) return { kind, id, item: null, at: place } as SingleEdit;
      const own = how === 'copied' ? `${id}-too` : id;
      const name = how === 'same' ? item.name : `${item.name} again`;
      return { kind, id: own, item: { ...item, id: own, name }, at: place } as SingleEdit;
    });
}

function arbitrarySingleEdit(setup: Setup): fc.Arbitrary<SingleEdit> {
  const program = fc.constantFrom(...setup.programs.map(({ id }) => id), 'gone');
  const at = fc.integer({ min: 0, max: 4 });
  const slotBinding = arbitrarySlotBinding(setup);
  return fc.oneof(
    slotBinding.map(({ slot, binding }): SingleEdit => ({ kind: 'set-binding', slot, binding })),
    slotBinding.map(({ slot }): SingleEdit => ({ kind: 'set-binding', slot, binding: null })),
    fc
      .tuple(slotBinding, fc.option(arbitraryFace))
      .map(([{ slot }, face]): SingleEdit => ({ kind: 'set-face', slot, face })),
    slotBinding.map(({ slot, binding }): SingleEdit => ({ kind: 'set-note', slot, note: binding.note })),
    fc.tuple(fc.constantFrom('inkwell', 'brindle'), at).map(
      ([id, position]): SingleEdit => ({
        kind: 'add-program',
        program: { id, name: id === 'inkwell' ? 'Inkwell' : 'Other', rules: [], commands: [] },
        profiles: [{ id, name: null, program: id, rules: [], basedOn: null, bindings: {} }],
        at: position,
      }),
    ),
    fc
      .tuple(program, fc.constantFrom('Larkframe', 'Larkframe two', 'Sound'))
      .map(([id, name]): SingleEdit => ({ kind: 'rename-program', program: id, name })),
    program.map((id): SingleEdit => ({ kind: 'remove-program', program: id })),
    fc.tuple(program, at).map(([id, to]): SingleEdit => ({ kind: 'move-program', program: id, to })),
    arbitraryPartEdit(setup),
  );
}

/** Random edits for a set-up: most apply, some are refused. */
export function arbitraryEdit(setup: Setup): fc.Arbitrary<Edit> {
  const single = arbitrarySingleEdit(setup);
  return fc.oneof(
    { weight: 5, arbitrary: single },
    {
      weight: 1,
      arbitrary: fc
        .array(single, { minLength: 1, maxLength: 4 })
        .map((edits): Edit => ({ kind: 'together', edits })),
    },
  );
}
