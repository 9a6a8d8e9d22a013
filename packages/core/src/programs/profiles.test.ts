import fc from 'fast-check';
import {
  acting,
  applyEdit,
  checkSetup,
  demoSetup,
  type Edit,
  newCommand,
  type Profile,
  type Setup,
  slotKey,
} from '../setup/index.ts';
import { arbitrarySetup, Counted, fuzz } from '../testing/index.ts';
import { compareIntents, compareProfiles, putIntent, takeAcross } from './compare.ts';
import { emptyProfileEdit, planProfileCopy, profileCopyEdit } from './copyProfile.ts';
import { intentFrom, intentUses, renameIntent } from './intentEdits.ts';

function edited(setup: Setup, edit: Edit | null): Setup {
  if (!edit) return setup;
  const done = applyEdit(setup, edit);
  if (!done.ok) throw new Error(JSON.stringify(done.problem));
  const back = applyEdit(done.value.setup, done.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  expect(checkSetup(done.value.setup)).toEqual([]);
  return done.value.setup;
}
const profileIn = (setup: Setup, id: string) => setup.profiles[id] as Profile;
const sameSlot = (a: object, b: object | undefined) => JSON.stringify(a) === JSON.stringify(b);
const key = (control: string) => slotKey('base', 'twelve-pad', control, 'press');
const put = (setup: Setup, profile: string, control: string, action: Parameters<typeof acting>[0]) => {
  profileIn(setup, profile).bindings[key(control)] = {
    behaviour: acting(action, 'tap'),
    face: null,
    note: null,
  };
};

test('a profile carries over by intent, by name, by keys, and as it is', () => {
  const setup = demoSetup();
  const brindle = setup.programs.find(({ id }) => id === 'brindle');
  brindle?.commands.push(
    newCommand({ id: 'brindle-light', name: 'Stage LIGHT', shortcut: 'F11', family: 'view' }),
  );
  profileIn(setup, 'larkframe').bindings = {};
  profileIn(setup, 'brindle').bindings = {};
  put(setup, 'larkframe', 'key-1', { kind: 'command', command: 'larkframe-fit' });
  put(setup, 'larkframe', 'key-2', { kind: 'command', command: 'larkframe-light' });
  put(setup, 'larkframe', 'key-3', { kind: 'command', command: 'larkframe-reverse' });
  put(setup, 'larkframe', 'key-4', { kind: 'text', text: 'heron' });
  put(setup, 'brindle', 'key-4', { kind: 'shortcut', shortcut: 'F1' });
  const copy = { from: profileIn(setup, 'larkframe'), source: setup, to: 'brindle' };
  const steps = planProfileCopy(setup, copy);
  expect(steps.map(({ slot, as, before }) => [slot.control, as, before !== null])).toEqual([
    ['key-1', 'intent', false],
    ['key-2', 'name', false],
    ['key-3', 'keys', false],
    ['key-4', 'as-is', true],
  ]);
  const kept = edited(setup, profileCopyEdit(steps, false)).profiles.brindle?.bindings ?? {};
  expect(Object.values(kept).map(({ behaviour }) => behaviour.kind === 'action' && behaviour.action)).toEqual(
    [
      { kind: 'shortcut', shortcut: 'F1' },
      { kind: 'command', command: 'brindle-fit' },
      { kind: 'command', command: 'brindle-light' },
      { kind: 'shortcut', shortcut: 'Shift+F' },
    ],
  );
  const over = edited(setup, profileCopyEdit(steps, true)).profiles.brindle?.bindings[key('key-4')];
  expect(over?.behaviour).toMatchObject({ action: { kind: 'text' } });
  expect(planProfileCopy(setup, { ...copy, to: 'nowhere' })).toEqual([]);
});

test('a profile copied over another does the same there; emptied, nothing is set; both are undone', () => {
  fuzz(
    fc.property(arbitrarySetup, arbitrarySetup, (setup, source) => {
      const [from, to] = [profileIn(source, 'brindle'), 'hushbox'];
      const steps = planProfileCopy(setup, { from, source, to });
      expect(steps).toHaveLength(Object.keys(from.bindings).length);
      const after = edited(setup, profileCopyEdit(steps, true));
      for (const { slot, after: binding, refusal } of steps) {
        if (refusal) continue;
        const { profile: _profile, layer, device, control, trigger } = slot;
        const there = after.profiles[to]?.bindings[slotKey(layer, device, control, trigger)];
        expect(there?.behaviour).toEqual(binding.behaviour);
      }
      const emptied = edited(after, emptyProfileEdit(profileIn(after, to)));
      expect(emptied.profiles[to]?.bindings).toEqual({});
      expect(emptyProfileEdit(profileIn(emptied, to))).toBeNull();
    }),
    240,
  );
});

test('only what differs is told: a profile is the same as itself, and an intent as itself in another program', () => {
  const setup = demoSetup();
  const of = (profile: string, setupOf = setup) => ({ setup: setupOf, profile });
  for (const id of Object.keys(setup.profiles)) {
    expect(compareProfiles([of(id), of(id, demoSetup())])).toEqual([]);
    expect(compareIntents([of(id), of(id, demoSetup())])).toEqual([]);
  }
  const differing = compareProfiles([of('larkframe'), of('brindle')]);
  const at = (device: string, control: string, trigger: string) =>
    differing.find(
      ({ slot }) => slot.device === device && slot.control === control && slot.trigger === trigger,
    );
  expect(at('bench-dial', 'dial', 'clockwise')?.cells.map(({ name, shortcut }) => [name, shortcut])).toEqual([
    ['Step one frame on', 'ArrowRight'],
    ['Brush larger', ']'],
  ]);
  // Undo is one idea, whatever the program's own command for it is.
  expect(at('twelve-pad', 'key-1', 'press')).toBeUndefined();
  const base = compareProfiles([of('larkframe'), of('everywhere')]);
  expect(base.every(({ cells }) => cells[0]?.from === 'larkframe')).toBe(true);
  expect(compareProfiles([])).toEqual([]);
  const ideas = compareIntents([of('larkframe'), of('hushbox')]);
  const onion = ideas.find(({ intent }) => intent === 'onion-skin');
  expect(onion?.slots.map((slots) => slots.length > 0)).toEqual([true, false]);
});

test('taken across, a difference is none any more, between set-ups too', () => {
  const counted = new Counted();
  fuzz(
    fc.property(arbitrarySetup, arbitrarySetup, fc.nat(40), (setup, source, which) => {
      const compared = [
        { setup, profile: 'hushbox' },
        { setup: source, profile: 'larkframe' },
      ];
      const all = compareProfiles(compared);
      const difference = all[which % Math.max(1, all.length)];
      const [, other] = compared;
      const cell = difference?.cells[1];
      if (!difference || !other || !cell) return counted.leftOut();
      const edit = takeAcross(setup, other, cell, difference.slot);
      // What the set-up does not have, as a layer of the other, cannot be taken.
      if (!edit) return counted.leftOut();
      counted.tried();
      const after = edited(setup, edit);
      const { layer, device, control, trigger } = difference.slot;
      const there = after.profiles.hushbox?.bindings[slotKey(layer, device, control, trigger)];
      expect(there?.behaviour.kind).toBe(cell.binding?.behaviour.kind ?? 'native');
    }),
    320,
  );
  counted.atLeast(0.2);
  const setup = demoSetup();
  const compared = [
    { setup, profile: 'brindle' },
    { setup, profile: 'larkframe' },
  ] as const;
  const [first] = compareProfiles(compared);
  const edit = first?.cells[1] ? takeAcross(setup, compared[1], first.cells[1], first.slot) : null;
  const after = edited(setup, edit);
  const left = compareProfiles(compared.map(({ profile }) => ({ setup: after, profile })));
  // Brindle has no command for it: the same keys are sent, which there are only keys.
  const there = left.find(({ slot }) => sameSlot(slot, first?.slot));
  expect(there?.cells.map(({ shortcut }) => shortcut)).toEqual(['ArrowRight', 'ArrowRight']);
});

test('an intent is put where another profile has it', () => {
  const setup = demoSetup();
  const ideas = (of: Setup) =>
    compareIntents([
      { setup: of, profile: 'larkframe' },
      { setup: of, profile: 'hushbox' },
    ]);
  const found = ideas(setup).find(({ intent }) => intent === 'marker');
  const slots = found?.slots[1] ?? [];
  expect(putIntent(setup, 'larkframe', 'marker', slots)).toBeNull();
  const fit = ideas(setup).find(({ intent }) => intent === 'split');
  expect(fit).toBeDefined();
  const after = edited(setup, putIntent(setup, 'tallow', 'copy', slots));
  const bound = slots.map(
    (slot) => after.profiles.tallow?.bindings[slotKey(slot.layer, slot.device, slot.control, slot.trigger)],
  );
  expect(bound.every((binding) => binding?.behaviour.kind === 'action')).toBe(true);
});

test('an intent is renamed wherever it stands, and taken into another', () => {
  const setup = demoSetup();
  put(setup, 'everywhere', 'key-9', { kind: 'intent', intent: 'fit' });
  const before = intentUses(setup);
  const fit = before.find(({ intent }) => intent === 'fit');
  expect(fit?.asked).toBe(1);
  const renamed = edited(setup, renameIntent(setup, 'fit', intentFrom('See all of it')));
  const uses = intentUses(renamed);
  expect(uses.find(({ intent }) => intent === 'see-all-of-it')).toEqual({ ...fit, intent: 'see-all-of-it' });
  expect(uses.some(({ intent }) => intent === 'fit')).toBe(false);
  const merged = edited(renamed, renameIntent(renamed, 'see-all-of-it', 'zoom-in'));
  expect(intentUses(merged)).toHaveLength(before.length - 1);
  expect(renameIntent(setup, 'fit', 'fit')).toBeNull();
  expect(renameIntent(setup, 'no-such', 'fit')).toBeNull();
});
