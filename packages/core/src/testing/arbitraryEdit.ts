import fc from 'fast-check';
import {
  bindingChanges,
  changesOf,
  type Edit,
  itemAt,
  newProgram,
  type Setup,
  type SingleEdit,
  together,
} from '../setup/index.ts';
import { arbitraryFace, arbitrarySlotBinding } from './arbitraryBinding.ts';

/** Another name, another place, another copy, nothing left: what can be done to a part of a list. */
function arbitraryPartEdit(setup: Setup): fc.Arbitrary<SingleEdit> {
  const parts = [
    ...setup.devices.map((item) => ({ at: itemAt.device, item, list: setup.devices })),
    ...setup.layers.map((item) => ({ at: itemAt.layer, item, list: setup.layers })),
    ...setup.pages.map((item) => ({ at: itemAt.page, item, list: setup.pages })),
    ...setup.macros.map((item) => ({ at: itemAt.macro, item, list: setup.macros })),
    ...setup.radialMenus.map((item) => ({ at: itemAt.radialMenu, item, list: setup.radialMenus })),
    ...setup.programs.map((item) => ({ at: itemAt.program, item, list: setup.programs })),
  ];
  return fc
    .tuple(fc.constantFrom(...parts), fc.nat(3), fc.constantFrom('moved', 'renamed', 'gone', 'copied'))
    .map(([{ at, item, list }, place, how]): SingleEdit => {
      const after = place === 0 ? null : (list[place - 1]?.id ?? 'gone');
      if (how === 'gone') return { kind: 'remove', at: at(item.id) };
      if (how === 'moved') return { kind: 'move', at: at(item.id), after };
      if (how === 'renamed')
        return { kind: 'set', at: at(item.id), fields: { name: `${item.name} ${place}` } };
      const id = `${item.id}-too`;
      const bare = 'commands' in item ? { ...item, commands: [], name: `${item.name} too` } : item;
      return { kind: 'add', at: at(id), item: { ...bare, id }, after };
    });
}

/** Items inside other items: controls, commands, steps, items of menus, settings. */
function arbitraryInnerEdit(setup: Setup): fc.Arbitrary<SingleEdit> {
  const inner = [
    ...setup.devices.flatMap(({ id, controls }) =>
      controls.map((own) => ({ at: itemAt.device(id), in: 'controls', own })),
    ),
    ...setup.macros.flatMap(({ id, steps }) =>
      steps.map((own) => ({ at: itemAt.macro(id), in: 'steps', own })),
    ),
    ...setup.radialMenus.flatMap(({ id, items }) =>
      items.map((own) => ({ at: itemAt.radialMenu(id), in: 'items', own })),
    ),
    ...setup.programs.flatMap(({ id, commands }) =>
      commands.slice(0, 3).map((own) => ({ at: itemAt.program(id), in: 'commands', own })),
    ),
  ];
  const own = fc
    .tuple(fc.constantFrom(...inner), fc.constantFrom('first', 'gone', 'copied'))
    .map(([{ at, in: list, own }, how]): SingleEdit => {
      const address = `${at}/${list}/${own.id}`;
      if (how === 'gone') return { kind: 'remove', at: address };
      if (how === 'first') return { kind: 'move', at: address, after: null };
      const id = `${own.id}-too`;
      return { kind: 'add', at: `${at}/${list}/${id}`, item: { ...own, id }, after: own.id };
    });
  const device = fc.constantFrom(...setup.devices.map(({ id }) => id));
  const setting = fc.constantFrom(
    { 'settings.holdMs': 300 },
    { 'settings.holdMs': 700 },
    { 'settings.doubleMs': 500 },
    { 'settings.wheel.lines': 3, 'settings.swapped': true },
    { 'settings.acceleration': { max: 2, from: 10, to: 100 } },
    { 'settings.acceleration.max': 3 },
  );
  const settings = fc
    .tuple(device, setting)
    .map(([id, fields]): SingleEdit => ({ kind: 'set', at: itemAt.device(id), fields }));
  return fc.oneof(own, settings);
}

function arbitraryBindingEdit(setup: Setup): fc.Arbitrary<readonly SingleEdit[]> {
  return fc
    .tuple(arbitrarySlotBinding(setup), fc.option(arbitraryFace), fc.nat(5))
    .map(([{ slot, binding }, face, how]): readonly SingleEdit[] => {
      const at = itemAt.binding(slot);
      const before = setup.profiles[slot.profile]?.bindings[at.split('/').slice(3).join('/')] ?? null;
      if (how === 0) return [{ kind: 'remove', at }];
      if (how === 1) return [{ kind: 'set', at, fields: { face } }];
      if (how === 2) return [{ kind: 'set', at, fields: { 'face.label': face?.label ?? null } }];
      if (how === 3) return [{ kind: 'set', at, fields: { note: binding.note } }];
      if (how === 4 && binding.behaviour.kind === 'action') {
        return [{ kind: 'set', at, fields: { 'behaviour.action': binding.behaviour.action } }];
      }
      return bindingChanges(slot, before, binding);
    });
}

function arbitraryProgramEdit(setup: Setup): fc.Arbitrary<readonly SingleEdit[]> {
  return fc.constantFrom('inkwell', 'brindle').map((id) => {
    const name = id === 'inkwell' ? 'Inkwell' : 'Other';
    const last = setup.programs.at(-1)?.id ?? null;
    return [
      {
        kind: 'add',
        at: itemAt.program(id),
        item: newProgram({ id, name }),
        after: last,
      },
      {
        kind: 'add',
        at: itemAt.profile(id),
        item: { id, name: null, program: id, rules: [], basedOn: null, bindings: {} },
        after: null,
      },
    ];
  });
}

/** Cells that are moved, grown, taken to other pages, grids that are divided otherwise, pages based on others: some are refused. */
function arbitraryPanelEdit(setup: Setup): fc.Arbitrary<SingleEdit> | null {
  const panels = setup.devices.filter(({ panel }) => panel !== null);
  const cells = panels.flatMap(({ id, controls }) => controls.map((own) => itemAt.control(id, own.id)));
  const [first] = cells;
  if (first === undefined) return null;
  const area = fc.record({
    column: fc.nat(5),
    row: fc.nat(3),
    columns: fc.integer({ min: 1, max: 3 }),
    rows: fc.integer({ min: 1, max: 3 }),
  });
  const pages = [null, ...setup.pages.map(({ id }) => id)];
  const fields = fc.oneof(
    area.map((value) => ({ 'cell.area': value })),
    fc.constantFrom(...pages).map((page) => ({ 'cell.page': page })),
    fc.boolean().map((everyPage) => ({ 'cell.everyPage': everyPage })),
  );
  const cell = fc
    .tuple(fc.constantFrom(first, ...cells), fields)
    .map(([at, changed]): SingleEdit => ({ kind: 'set', at, fields: changed }));
  const grid = fc.record({ columns: fc.integer({ min: 1, max: 8 }), rows: fc.integer({ min: 1, max: 6 }) });
  const divided = fc
    .tuple(fc.constantFrom(...panels), grid, fc.constantFrom(...pages))
    .map(
      ([{ id }, value, page]): SingleEdit =>
        page === null
          ? { kind: 'set', at: itemAt.device(id), fields: { 'panel.grid': value } }
          : { kind: 'set', at: itemAt.page(page), fields: { grid: value } },
    );
  const based = fc
    .tuple(fc.constantFrom(...pages), fc.constantFrom(...pages))
    .map(
      ([page, basedOn]): SingleEdit =>
        page === null
          ? { kind: 'set', at: itemAt.device(panels[0]?.id ?? ''), fields: { 'panel.distance': 500 } }
          : { kind: 'set', at: itemAt.page(page), fields: { basedOn } },
    );
  const size = fc
    .constantFrom(...panels)
    .map(
      ({ id }): SingleEdit => ({ kind: 'set', at: itemAt.device(id), fields: { width: 200, height: 300 } }),
    );
  return fc.oneof({ weight: 4, arbitrary: cell }, divided, based, size);
}

/** Random edits for a set-up: most apply, some are refused. */
export function arbitraryEdit(setup: Setup): fc.Arbitrary<Edit> {
  const binding = arbitraryBindingEdit(setup);
  const panel = arbitraryPanelEdit(setup);
  const single = fc.oneof(
    { weight: 4, arbitrary: binding },
    { weight: 2, arbitrary: arbitraryPartEdit(setup).map((edit) => [edit]) },
    { weight: 3, arbitrary: arbitraryInnerEdit(setup).map((edit) => [edit]) },
    { weight: 1, arbitrary: arbitraryProgramEdit(setup) },
    ...(panel ? [{ weight: 2, arbitrary: panel.map((edit) => [edit]) }] : []),
  );
  return fc.oneof(
    { weight: 5, arbitrary: single.map(together) },
    {
      weight: 1,
      arbitrary: fc.array(single, { minLength: 1, maxLength: 4 }).map((edits) => together(edits.flat())),
    },
  );
}

/** What makes one set-up of another, as one edit. */
export function editBetween(before: Setup, after: Setup): Edit {
  return together(changesOf('', before as never, after as never));
}
