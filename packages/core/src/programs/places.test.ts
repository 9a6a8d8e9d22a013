import fc from 'fast-check';
import { isPressed, oppositeOf } from '../devices/index.ts';
import { profileChain, resolveBehaviour } from '../resolve/index.ts';
import { applyEdit, checkSetup, demoSetup, keyOf, type Setup } from '../setup/index.ts';
import { arbitrarySetup, Counted, fuzz } from '../testing/index.ts';
import { placeEdit, proposePlaces } from './places.ts';
import { columnOf, reachOf } from './reach.ts';

const unreached = (setup: Setup) =>
  setup.programs.flatMap(({ id, commands }) => {
    const profile = columnOf(setup, id);
    const reach = reachOf(setup, profile);
    return commands.filter((command) => !reach.has(command.id)).map((command) => ({ profile, command }));
  });

test('every proposal can be taken: the command is reached there then, and one edit takes it back', () => {
  const counted = new Counted();
  const check = (setup: Setup, which: number) => {
    const all = unreached(setup);
    const asked = all[which % Math.max(1, all.length)];
    if (!asked) return counted.leftOut();
    counted.tried();
    for (const place of proposePlaces(setup, asked.profile, asked.command.id, 4)) {
      const done = applyEdit(setup, placeEdit(setup, asked.command.id, place));
      if (!done.ok) throw new Error(JSON.stringify(done.problem));
      expect(checkSetup(done.value.setup)).toEqual([]);
      const reached = reachOf(done.value.setup, asked.profile).get(asked.command.id) ?? [];
      expect(reached.map(({ slot }) => keyOf(slot))).toContain(keyOf(place.slot));
      const back = applyEdit(done.value.setup, done.value.inverse);
      expect(back.ok && back.value.setup).toEqual(setup);
    }
  };
  fuzz(fc.property(arbitrarySetup, fc.nat(500), check), 240);
  counted.atLeast(0.5);
  for (let i = 0; i < 20; i++) check(demoSetup(), i);
});

test('what the profile has set is never proposed, nor what the hand needs', () => {
  const setup = demoSetup();
  for (const { profile, command } of unreached(setup).filter((_each, i) => i % 5 === 0)) {
    const chain = profileChain(setup, profile);
    for (const { slot, covers, reason } of proposePlaces(setup, profile, command.id, 400)) {
      const { device, control, trigger } = slot;
      const { decided } = resolveBehaviour(chain, [slot.layer], device, control, trigger);
      expect(decided?.profile ?? null).toBe(covers);
      expect(covers).not.toBe(profile);
      const drawn = setup.devices.find(({ id }) => id === device)?.controls.find(({ id }) => id === control);
      expect(drawn?.native[trigger]).toBeUndefined();
      if (reason.kind === 'free') expect(isPressed(trigger) || oppositeOf(trigger) === null).toBe(true);
    }
  }
});

test('a cell of a page is bound on its page, and none that belongs to another program is proposed', () => {
  const setup = demoSetup();
  const cells = (profile: string) =>
    unreached(setup)
      .filter((each) => each.profile === profile)
      .flatMap(({ command }) => proposePlaces(setup, profile, command.id, 2000))
      .filter(({ slot }) => slot.control.startsWith('showing-'));
  expect(cells('larkframe').every(({ slot }) => slot.layer === 'showing')).toBe(true);
  expect(cells('larkframe').length).toBeGreaterThan(0);
  expect(cells('brindle')).toEqual([]);
});

test('the idea that other programs have on a control comes first; its pair comes along; a risky one asks', () => {
  const setup = demoSetup();
  const brindle = setup.programs.find(({ id }) => id === 'brindle');
  const command = (name: string, intent: string | null, risky = false) => ({
    ...structuredClone(brindle?.commands[0] ?? demoSetup().commonCommands[0]),
    ...{
      id: `brindle-${name.replaceAll(' ', '-').toLowerCase()}`,
      name,
      shortcut: 'Ctrl+Alt+F9',
      intent,
      risky,
    },
  });
  const double = command('Double it', 'duplicate');
  const [longer, shorter] = [command('Tail longer', null), command('Tail shorter', null)];
  const burn = command('Burn it', null, true);
  brindle?.commands.push(...([double, longer, shorter, burn] as typeof brindle.commands));
  const [first] = proposePlaces(setup, 'brindle', double.id);
  expect(first?.reason).toMatchObject({ kind: 'same-intent' });
  const [turn] = proposePlaces(setup, 'brindle', longer.id);
  expect(turn?.reason).toMatchObject({ kind: 'with-pair', command: shorter.id });
  const done = turn && applyEdit(setup, placeEdit(setup, longer.id, turn));
  const reach = done?.ok ? reachOf(done.value.setup, 'brindle') : new Map();
  expect([reach.has(longer.id), reach.has(shorter.id)]).toEqual([true, true]);
  const [press] = proposePlaces(setup, 'brindle', burn.id);
  expect(press && JSON.stringify(placeEdit(setup, burn.id, press))).toContain('"longer"');
});
