import { readdirSync } from 'node:fs';
import path from 'node:path';
import {
  CATALOGUE,
  DEVICE_KINDS,
  fromCatalogue,
  triggersOf,
  voice as voiceDevice,
} from '../devices/index.ts';
import { applyEdit, checkSetup, demoSetup, newCommand, type Setup } from '../setup/index.ts';
import { IDEAS } from './ideas.ts';
import { addProgram } from './programEdits.ts';
import {
  CONTROL_SETS,
  planControlSet,
  planStart,
  READY_LISTS,
  type ReadyStep,
  readyEdit,
  STARTING_PROFILES,
} from './readyMade.ts';
import { doubledIn } from './sheet.ts';

const known = new Set([
  ...IDEAS.map(({ intent }) => intent),
  ...demoSetup().commonCommands.map(({ intent }) => intent),
]);
const edited = (setup: Setup, steps: readonly ReadyStep[]): Setup => {
  const edit = readyEdit(steps);
  if (!edit) return setup;
  const done = applyEdit(setup, edit);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  expect(checkSetup(done.value.setup)).toEqual([]);
  const back = applyEdit(done.value.setup, done.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return done.value.setup;
};

test.each([
  ['lists', READY_LISTS.length],
  ['starts', STARTING_PROFILES.length],
  ['sets', CONTROL_SETS.length],
])('every file of %s is offered', (folder, count) => {
  expect(readdirSync(path.join(__dirname, 'readyMade', folder))).toHaveLength(count);
});

test.each(READY_LISTS.map((list) => [list.program, list.commands] as const))(
  '%s: names and keys once, and intents that the table of ideas has',
  (_name, commands) => {
    const items = commands.map((command, i) => newCommand({ ...command, id: `c-${i}` }));
    expect([...doubledIn(items)]).toEqual([]);
    expect(new Set(items.map(({ name }) => name)).size).toBe(items.length);
    expect(items.flatMap(({ intent }) => (intent === null || known.has(intent) ? [] : [intent]))).toEqual([]);
    const named = items.flatMap(({ intent }) => intent ?? []);
    expect(new Set(named).size).toBe(named.length);
  },
);

test('there is a starting profile for every kind of device, and each of its uses fits a device of the catalogue', () => {
  expect(STARTING_PROFILES.map(({ device }) => device).toSorted()).toEqual([...DEVICE_KINDS].toSorted());
  for (const { device: kind, uses } of STARTING_PROFILES) {
    const models = CATALOGUE.filter((model) => model.kind === kind);
    const ideas = uses.flatMap((use) => (use.ideas === 'as-spoken' ? [] : use.ideas.flat()));
    expect(ideas.filter((idea) => !known.has(idea))).toEqual([]);
    for (const { on, nth, trigger } of uses) {
      const fits = models.some(({ controls }) => {
        const ofKind = controls.filter((each) => each.kind === on);
        const used = nth === 'each' ? ofKind : ofKind.slice(nth - 1, nth);
        return used.some((control) => triggersOf(control).includes(trigger));
      });
      expect(`${kind} ${on} ${nth} ${trigger} ${fits}`).toBe(`${kind} ${on} ${nth} ${trigger} true`);
    }
  }
});

test('a starting profile sets what a program can do, each idea once, for each kind of program and device', () => {
  for (const list of READY_LISTS) {
    const setup = demoSetup();
    const items = list.commands.map((command) => newCommand({ ...command, id: 'new' }));
    const made = addProgram(setup, { name: list.program, commands: items }, null);
    const done = applyEdit(setup, made.edit);
    if (!done.ok) throw new Error('It was not added.');
    for (const start of STARTING_PROFILES) {
      const model = CATALOGUE.find(({ kind }) => kind === start.device);
      const device = model && fromCatalogue(model.id, 'new-device');
      if (!device) throw new Error(start.device);
      const withDevice = structuredClone(done.value.setup);
      withDevice.devices.push(device);
      const steps = planStart(withDevice, { profile: made.id, device: 'new-device' }, start);
      // What is spoken may be nothing that this program can do.
      if (start.device !== 'voice') expect(steps.length).toBeGreaterThan(0);
      const after = edited(withDevice, steps);
      const bound = Object.values(after.profiles[made.id]?.bindings ?? {}).map(({ behaviour }) =>
        JSON.stringify(behaviour.kind === 'action' ? behaviour.action : behaviour),
      );
      expect(new Set(bound).size).toBe(bound.length);
      expect(readyEdit(planStart(after, { profile: made.id, device: 'new-device' }, start))).toBeNull();
    }
  }
});

test('a phrase gets what its words speak of, and others nothing', () => {
  const setup = demoSetup();
  setup.devices.push(voiceDevice('voice', ['undo', 'fit in window', 'herons forever']));
  const start = STARTING_PROFILES.find(({ device }) => device === 'voice');
  const steps = start ? planStart(setup, { profile: 'brindle', device: 'voice' }, start) : [];
  const sent = steps.map(({ after: { behaviour } }) => behaviour.kind === 'action' && behaviour.action);
  expect(sent).toEqual([
    { kind: 'command', command: 'brindle-undo' },
    { kind: 'command', command: 'brindle-fit' },
  ]);
});

test('a set gives one control five things: the program’s own commands, else keys', () => {
  const setup = demoSetup();
  const [undo] = CONTROL_SETS;
  if (!undo) throw new Error('There is no set.');
  const at = { profile: 'brindle', device: 'twelve-pad', control: 'key-9' };
  const after = edited(setup, planControlSet(setup, at, undo));
  const actions = Object.entries(after.profiles.brindle?.bindings ?? {})
    .filter(([key]) => key.startsWith('base/twelve-pad/key-9/'))
    .map(([key, { behaviour }]) => [key.split('/')[3], behaviour.kind === 'action' && behaviour.action]);
  expect(Object.fromEntries(actions)).toMatchObject({
    press: { kind: 'command', command: 'brindle-undo' },
    'nudge-up': { kind: 'command', command: 'brindle-redo' },
    'nudge-left': { kind: 'command', command: 'copy' },
    'nudge-down': { kind: 'shortcut', shortcut: 'Ctrl+X' },
  });
  for (const set of CONTROL_SETS) edited(setup, planControlSet(setup, at, set));
  expect(planControlSet(setup, { ...at, control: 'no-such' }, undo)).toEqual([]);
});
