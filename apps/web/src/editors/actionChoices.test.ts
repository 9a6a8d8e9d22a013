import { acting, actionSchema, checkBinding, demoSetup } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { actionChoices, choiceId } from './actionChoices.ts';
import { type ActionTarget, takeSteps } from './actionTarget.ts';

const setup = demoSetup();
const taken: unknown[] = [];
const targetIn = (id: string, onlyMessages = false): ActionTarget => {
  const profile = setup.profiles[id];
  if (!profile) throw new Error(id);
  const programName = profileName(setup, id);
  return {
    place: id,
    setup,
    profile,
    programName,
    action: null,
    device: null,
    latched: false,
    onlyMessages,
    pair: null,
    setAction: (action) => taken.push(action),
  };
};

test.each(Object.keys(setup.profiles))(
  'in %s everything that can be chosen can be set, and is found again',
  (id) => {
    const target = targetIn(id);
    const choices = actionChoices(target);
    expect(new Set(choices.map((choice) => choice.id)).size).toBe(choices.length);
    const slot = {
      profile: id,
      layer: 'base',
      device: 'twelve-pad',
      control: 'key-1',
      trigger: 'press',
    } as const;
    for (const { id: own, action } of choices) {
      if (!action) continue;
      expect(actionSchema.parse(action)).toEqual(action);
      expect(choiceId(action)).toBe(own);
      const binding = { behaviour: acting(action, 'tap'), face: null, note: null };
      expect([own, checkBinding(setup, target.profile, slot, binding)]).toEqual([own, null]);
    }
    const kinds = new Set(choices.flatMap(({ action }) => action?.kind ?? []));
    const all = [
      'command',
      'text',
      'button',
      'click',
      'wheel',
      'macro',
      'radial',
      'layer',
      'page',
      'profile',
    ];
    for (const kind of [...all, 'speed', 'computer', 'program', 'message']) expect(kinds).toContain(kind);
  },
);

test('a slider’s value can only be sent as a message', () => {
  const kinds = actionChoices(targetIn('tallow', true)).map(({ action }) => action?.kind);
  expect(kinds).toEqual(['message', 'message']);
});

test.each([
  ['Ctrl+Z', { kind: 'command', command: 'larkframe-undo' }],
  ['Ctrl+Alt+P', { kind: 'shortcut', shortcut: 'Ctrl+Alt+P' }],
  ['Ctrl+K, Ctrl+S', { kind: 'sequence', shortcuts: ['Ctrl+K', 'Ctrl+S'] }],
])('%s becomes %j', (notation, expected) => {
  takeSteps(targetIn('larkframe'), notation);
  expect(taken.at(-1)).toEqual(expected);
});

test.each([
  [true, 'Brush larger', 'Brush smaller'],
  [false, 'Brush smaller', 'Brush larger'],
])('a movement with two ways can be given both at once (plus: %s)', (isPlus, own, other) => {
  const target = { ...targetIn('brindle'), pair: { isPlus, set: () => undefined } };
  const found = actionChoices(target).find(
    ({ name }) => name.startsWith(own) && name.includes('the other way'),
  );
  const nameOf = (action: unknown) =>
    setup.programs
      .flatMap(({ commands }) => commands)
      .find(({ id }) => id === (action as { command?: string } | null)?.command)?.name;
  expect([nameOf(found?.action), nameOf(found?.other)]).toEqual([own, other]);
});

test('what the program does by other keys is not offered as a common command', () => {
  const names = actionChoices(targetIn('brindle')).filter(({ name }) => name === 'Redo');
  expect(names.map(({ shortcut }) => shortcut)).toEqual(['Ctrl+Y']);
});
