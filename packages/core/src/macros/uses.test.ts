import { acting, newMacro, numberSteps, slotKey } from '../setup/index.ts';
import { smallSetup } from '../testing/index.ts';
import { macroUses } from './uses.ts';

test('a macro is used by bindings of every profile, by menus and by macros it stands in, left out or not', () => {
  const setup = smallSetup();
  const bound = (profile: string, key: string, macro: string) => {
    const bindings = setup.profiles[profile]?.bindings ?? {};
    bindings[key] = { behaviour: acting({ kind: 'macro', macro }, 'follow'), face: null, note: null };
  };
  bound('everywhere', slotKey('base', 'pad', 'key-1', 'press'), 'toggling');
  bound('brindle', slotKey('second', 'pad', 'key-2', 'hold'), 'toggling');
  const inside = { kind: 'macro', macro: 'toggling' } as const;
  setup.macros.push(
    newMacro({
      id: 'outer',
      name: 'Outer',
      steps: numberSteps([{ kind: 'hold', keys: 'Alt', skipped: true, steps: [inside] }]),
    }),
  );
  const uses = macroUses(setup);
  expect(uses.get('toggling')).toEqual({
    slots: [
      { profile: 'everywhere', layer: 'base', device: 'pad', control: 'key-1', trigger: 'press' },
      { profile: 'brindle', layer: 'second', device: 'pad', control: 'key-2', trigger: 'hold' },
    ],
    menus: [],
    macros: ['outer'],
  });
  // The small rig's own menu and macro.
  expect(uses.get('plain')).toEqual({ slots: [], menus: ['ring'], macros: ['holding'] });
  expect(uses.has('outer')).toBe(false);
});
