import fc from 'fast-check';
import {
  acting,
  applyEdit,
  checkSetup,
  demoSetup,
  type Edit,
  isBeginning,
  newCommand,
  newMacro,
  numberSteps,
  type Setup,
  slotKey,
} from '../setup/index.ts';
import { arbitrarySetup, Counted, fuzz } from '../testing/index.ts';
import { emptySetupEdit } from './emptySetup.ts';
import { IDEAS } from './ideas.ts';
import { addCommand, addProfileOf, addProgram, copyProgram } from './programEdits.ts';
import { familyOf, proposeFor } from './propose.ts';
import { columnOf, inReach, reachOf } from './reach.ts';
import { removeCommands, removeProfile, removeProgram } from './removeWith.ts';

function edited(setup: Setup, edit: Edit): Setup {
  const done = applyEdit(setup, edit);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  const back = applyEdit(done.value.setup, done.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return done.value.setup;
}
const bound = (setup: Setup, profile: string, key: string, action: Parameters<typeof acting>[0]) => {
  const bindings = setup.profiles[profile]?.bindings ?? {};
  bindings[key] = { behaviour: acting(action, 'tap'), face: null, note: null };
};
const key = (control: string, layer = 'base') => slotKey(layer, 'twelve-pad', control, 'press');

test.each([
  ['Undo', 'undo', 'edit'],
  ['Undo the last stroke', 'undo', 'edit'],
  ['Zoom In', 'zoom-in', 'view'],
  ['Find and replace', 'replace', 'edit'],
  ['Brush larger', 'bigger-tool', 'tool'],
  ['Save as…', 'save-as', 'system'],
  ['Go to start', 'first-moment', 'time'],
  ['Paste what was copied into every chosen frame', null, null],
  ['Rückgängig', 'undo', 'edit'],
  ['Wave the wing', null, null],
  ['', null, null],
])('the name “%s” speaks of %s', (name, intent, family) => {
  expect(proposeFor(name)).toEqual({ intent, family });
});

test('every idea is found by each of its own words', () => {
  const wrong = IDEAS.flatMap(({ intent, words }) =>
    words.filter((word) => proposeFor(word).intent !== intent).map((word) => `${word}: ${intent}`),
  );
  expect(wrong).toEqual([]);
  expect([familyOf('View'), familyOf('File menu'), familyOf('Wings')]).toEqual(['view', 'system', null]);
});

test('a program that is added has a profile and is found by its executable; a name is given once', () => {
  const made = addProgram(demoSetup(), { name: 'Kettleby' }, 'kettleby');
  const setup = edited(demoSetup(), made.edit);
  expect(setup.programs.at(-1)).toMatchObject({ id: made.id, name: 'Kettleby', commands: [] });
  expect(setup.profiles[made.id]).toMatchObject({ program: made.id, bindings: {} });
  const again = edited(setup, addProgram(setup, { name: 'kettleby' }, null).edit);
  expect(again.programs.at(-1)).toMatchObject({ name: 'kettleby 2', rules: [] });
  expect(checkSetup(again)).toEqual([]);
});

test('a copy of a program does the same with commands of its own', () => {
  const counted = new Counted();
  fuzz(
    fc.property(arbitrarySetup, fc.nat(), (setup, at) => {
      const program = setup.programs[at % setup.programs.length];
      const made = program && copyProgram(setup, program.id);
      if (!made) return counted.leftOut();
      counted.tried();
      const after = edited(setup, made.edit);
      const copy = after.programs.find(({ id }) => id === made.id);
      expect(copy?.commands.map(({ name }) => name)).toEqual(program.commands.map(({ name }) => name));
      const counts = (id: string) =>
        Object.values(after.profiles)
          .filter((profile) => profile.program === id)
          .map(({ bindings }) => Object.keys(bindings).length)
          .toSorted();
      expect(counts(made.id)).toEqual(counts(program.id));
      expect(checkSetup(after)).toEqual([]);
    }),
    240,
  );
  counted.atLeast(0.9);
  expect(copyProgram(demoSetup(), 'nowhere')).toBeNull();
});

test('commands go with what runs them, and come back with it', () => {
  const setup = demoSetup();
  const [command] = setup.programs[0]?.commands ?? [];
  if (!command) throw new Error('There is no command.');
  const removal = removeCommands(setup, 'larkframe', [command.id, 'nothing-of-it']);
  expect(removal).toMatchObject({ commands: 1, profiles: 0 });
  expect(removal.bindings).toBeGreaterThan(0);
  const after = edited(setup, removal.edit);
  expect(removeCommands(after, 'larkframe', [command.id]).commands).toBe(0);
  const more = addCommand(after, 'larkframe', newCommand({ ...command, name: 'Wave' }), null);
  expect(edited(after, more.edit).programs[0]?.commands[0]).toMatchObject({
    name: 'Wave',
    id: 'larkframe-wave',
  });
  const dialog = addProfileOf(setup, 'larkframe', 'Export');
  const withDialog = dialog ? edited(setup, dialog.edit) : setup;
  expect(withDialog.profiles['larkframe-export']).toMatchObject({ name: 'Export', basedOn: 'larkframe' });
  bound(withDialog, 'tallow', key('key-10'), {
    kind: 'profile',
    change: 'pin',
    profiles: ['larkframe-export'],
  });
  const without = edited(withDialog, removeProfile(withDialog, 'larkframe-export').edit);
  expect(without.profiles.tallow?.bindings[key('key-10')]).toBeUndefined();
  expect(Object.keys(without.profiles)).toEqual(Object.keys(setup.profiles));
});

test('what reaches a command: bound, through Everywhere, an intent, a macro, a menu; what hides it does not', () => {
  const setup = demoSetup();
  for (const profile of Object.values(setup.profiles)) profile.bindings = {};
  const how = (id: string) =>
    (reachOf(structuredClone(setup), 'brindle').get(id) ?? []).map(
      ({ slot, decidedBy, through }) => `${slot.control} ${decidedBy} ${through?.kind ?? 'as it is'}`,
    );
  bound(setup, 'brindle', key('key-1'), { kind: 'command', command: 'brindle-zoom-in' });
  bound(setup, 'everywhere', key('key-2'), { kind: 'intent', intent: 'zoom-in' });
  bound(setup, 'everywhere', key('key-3'), { kind: 'command', command: 'undo' });
  setup.macros = [
    {
      id: 'peek',
      name: 'Peek',
      run: 'once',
      times: 1,
      again: 'ignore',
      keepsOn: false,
      steps: [
        { id: 'a', kind: 'shortcut', shortcut: 'Ctrl+=', note: null },
        { id: 'b', kind: 'focus', program: 'larkframe', launch: false, note: null },
        { id: 'c', kind: 'shortcut', shortcut: 'Ctrl+Z', note: null },
      ],
    } as unknown as Setup['macros'][number],
  ];
  bound(setup, 'brindle', key('key-4'), { kind: 'macro', macro: 'peek' });
  setup.radialMenus = [
    {
      id: 'looks',
      name: 'Looks',
      program: 'brindle',
      items: [
        { id: 'one', label: 'In', icon: null, action: { kind: 'command', command: 'brindle-zoom-in' } },
      ],
    } as unknown as Setup['radialMenus'][number],
  ];
  bound(setup, 'brindle', key('key-5'), { kind: 'radial', menu: 'looks' });
  expect(how('brindle-zoom-in')).toEqual([
    'key-1 brindle as it is',
    'key-2 everywhere intent',
    'key-4 brindle macro',
    'key-5 brindle menu',
  ]);
  // Brindle's own undo is what Everywhere's becomes there.
  expect(how('brindle-undo').length + how('undo').length).toBe(1);
  const column = columnOf(setup, 'brindle');
  expect(
    inReach(setup, column, setup.programs.find(({ id }) => id === 'brindle')?.commands ?? []),
  ).toBeGreaterThan(0);
  bound(setup, 'brindle', key('key-2'), { kind: 'text', text: 'wing' });
  expect(how('brindle-zoom-in')).not.toContain('key-2 everywhere intent');
});

test('a program goes with all that makes no sense without it, and comes back with all of it', () => {
  const check = (setup: Setup) => {
    for (const { id } of setup.programs) {
      const removal = removeProgram(setup, id);
      const after = edited(setup, removal.edit);
      expect(checkSetup(after)).toEqual([]);
      expect(JSON.stringify(after)).not.toContain(`"program":"${id}"`);
      const left = (of: Setup) =>
        Object.values(of.profiles).reduce((sum, { bindings }) => sum + Object.keys(bindings).length, 0);
      expect(left(setup) - left(after)).toBe(removal.bindings);
      expect(setup.macros.length - after.macros.length).toBe(removal.macros.length);
      expect(setup.radialMenus.length - after.radialMenus.length).toBe(removal.menus.length);
    }
  };
  check(demoSetup());
  fuzz(fc.property(arbitrarySetup, check), 240);
});

test('what hangs on a program by several ways', () => {
  const setup = demoSetup();
  setup.macros.push(
    newMacro({
      ...{ id: 'to-brindle', name: 'To Brindle' },
      steps: numberSteps([{ kind: 'focus', program: 'brindle', launch: false }]),
    }),
    newMacro({
      ...{ id: 'outer', name: 'Outer' },
      steps: numberSteps([{ kind: 'macro', macro: 'to-brindle' }]),
    }),
    newMacro({ id: 'of-brindle', name: 'Of Brindle', program: 'brindle' }),
  );
  bound(setup, 'hushbox', key('key-9'), { kind: 'macro', macro: 'outer' });
  bound(setup, 'tallow', key('key-9'), { kind: 'profile', change: 'next', profiles: ['brindle', 'tallow'] });
  bound(setup, 'tallow', key('key-10'), { kind: 'profile', change: 'pin', profiles: ['brindle'] });
  const { fernway } = setup.profiles;
  if (fernway) fernway.basedOn = 'brindle';
  const removal = removeProgram(setup, 'brindle');
  expect(removal.macros).toEqual(expect.arrayContaining(['To Brindle', 'Outer']));
  const after = edited(setup, removal.edit);
  expect(checkSetup(after)).toEqual([]);
  // One that is only found under it stays.
  expect(after.macros.find(({ id }) => id === 'of-brindle')?.program).toBeNull();
  expect(after.profiles.fernway?.basedOn).toBeNull();
  expect(after.profiles.hushbox?.bindings[key('key-9')]).toBeUndefined();
  expect(after.profiles.tallow?.bindings[key('key-10')]).toBeUndefined();
  expect(after.profiles.tallow?.bindings[key('key-9')]?.behaviour).toMatchObject({
    action: { profiles: ['tallow'] },
  });
});

test('a set-up is emptied as one edit, whatever hangs on what, and comes back', () => {
  const check = (setup: Setup) => {
    const after = edited(setup, emptySetupEdit(setup, 'My desk'));
    expect(checkSetup(after)).toEqual([]);
    expect(after).toMatchObject({ name: 'My desk', devices: [], programs: [], macros: [], radialMenus: [] });
    expect(after.layers.map(({ id }) => id)).toEqual(['base']);
    expect(Object.values(after.profiles).map(({ id, bindings }) => [id, bindings])).toEqual([
      ['everywhere', {}],
    ]);
    expect(after.commonCommands).toEqual(setup.commonCommands);
    expect(isBeginning(after)).toBe(true);
  };
  check(demoSetup());
  expect(isBeginning(demoSetup())).toBe(false);
  fuzz(fc.property(arbitrarySetup, check), 240);
});
