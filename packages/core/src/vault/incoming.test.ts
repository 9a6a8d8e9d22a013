import fc from 'fast-check';
import { checkSetup, demoSetup, renamed, type Setup } from '../setup/index.ts';
import { arbitrarySetup, fuzz } from '../testing/index.ts';
import {
  type Choice,
  differencesBetween,
  emptySetup,
  type Mapping,
  mappingTo,
  outgoing,
  planIncoming,
  proposeChoices,
  proposeMapping,
  readyMadeSetup,
  takeIn,
} from './index.ts';

/** Takes a file in, each part as `choose` says. */
function takenIn(
  now: Setup,
  file: Parameters<typeof planIncoming>[1],
  choose: (choices: readonly Choice[]) => Choice,
) {
  const incoming = planIncoming(now, file, proposeMapping(now, file.setup));
  const choices = new Map(incoming.parts.map(({ key, choices: own }) => [key, choose(own)]));
  const taken = takeIn(now, incoming, choices);
  if (!taken.ok) throw new Error(JSON.stringify(taken.problem));
  return { incoming, setup: taken.value.setup };
}
const all = (setup: Setup) => ({ setup, part: null });
const part = (setup: Setup, kind: 'program' | 'device' | 'macro', id: string) => {
  const out = outgoing(setup, { kind, id });
  if (!out.ok) throw new Error('not sound');
  return { setup: out.value, part: { kind, id } as const };
};
const larkframe = part(demoSetup(), 'program', 'larkframe');

test('whatever comes, and however it is chosen, the set-up stays sound; what is left stays as it was', () => {
  fuzz(
    fc.property(
      arbitrarySetup,
      fc.oneof(arbitrarySetup, fc.constant(demoSetup()), fc.constant(emptySetup('None'))),
      fc.infiniteStream(fc.nat(2)),
      (now, coming, picks) => {
        const pick = () => picks.next().value ?? 0;
        const { setup } = takenIn(now, all(coming), (own) => own[pick() % own.length] ?? 'mine');
        expect(checkSetup(setup)).toEqual([]);
        expect(takenIn(now, all(coming), () => 'mine').setup).toEqual(now);
      },
    ),
    240,
  );
});

test('one’s own file brings nothing', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      const incoming = planIncoming(setup, all(structuredClone(setup)), proposeMapping(setup, setup));
      expect(incoming.parts).toEqual([]);
      expect(incoming.lost).toEqual([]);
      expect(incoming.same).toBeGreaterThan(0);
    }),
    160,
  );
});

test('all of a file in an empty set-up is that set-up, but for its name', () => {
  const { setup } = takenIn({ ...emptySetup('Mine'), commonCommands: [] }, all(demoSetup()), () => 'take');
  const differ = differencesBetween(setup, demoSetup()).map(({ kind }) => kind);
  expect(new Set(differ)).toEqual(new Set(['setup']));
});

test('a program comes to another rig: to devices of its kind, control by control; what has no place is told', () => {
  const now = readyMadeSetup('Mine', ['key-dial', 'six-pad']);
  const own = now.devices.find(({ id }) => id === 'six-pad');
  const pad = larkframe.setup.devices.find(({ id }) => id === 'twelve-pad');
  if (!own || !pad) throw new Error('not in the demo');
  const mapping: Mapping = {
    ...proposeMapping(now, larkframe.setup),
    'six-pad': { to: null, controls: {} },
    'twelve-pad': mappingTo(pad, own),
  };
  expect(mapping['bench-dial']).toMatchObject({ to: 'key-dial' });
  expect(mapping['pocket-mouse']).toEqual({ to: null, controls: {} });
  const incoming = planIncoming(now, larkframe, mapping);
  const taken = takeIn(now, incoming, proposeChoices(incoming));
  if (!taken.ok) throw new Error(JSON.stringify(taken.problem));
  const { setup } = taken.value;
  expect(setup.programs.map(({ name }) => name)).toEqual(['Larkframe']);
  const devices = Object.keys(setup.profiles.larkframe?.bindings ?? {}).map((key) => key.split('/')[1]);
  expect(devices).toContain('key-dial');
  expect(devices).not.toContain('bench-dial');
  expect(setup.devices.map(({ id }) => id)).toEqual(expect.arrayContaining(['pocket-mouse', 'six-pad-2']));
  // Six keys in two rows of three take those that lie like them.
  const lost = new Set(
    incoming.lost.flatMap(({ device, control }) => (device === 'twelve-pad' ? control : [])),
  );
  expect(lost).toEqual(new Set(['key-8', 'key-9']));
  expect(incoming.lost.map(({ device }) => device)).not.toContain('pocket-mouse');
});

test('the same program that was typed in here under other ids is the same: its commands meet by their names', () => {
  const now = renamed(demoSetup(), (kind, id) =>
    (kind === 'program' || kind === 'profile' || kind === 'command') && /lark/.test(id) ? `my-${id}` : id,
  );
  const incoming = planIncoming(now, larkframe, proposeMapping(now, larkframe.setup));
  expect(incoming.parts).toEqual([]);
  const [changed] = planIncoming(
    now,
    {
      ...larkframe,
      setup: {
        ...larkframe.setup,
        programs: larkframe.setup.programs.map((program) => ({
          ...program,
          commands: program.commands.map((command, i) =>
            i === 0 ? { ...command, shortcut: 'F11' } : command,
          ),
        })),
      },
    },
    proposeMapping(now, larkframe.setup),
  ).parts;
  expect(changed).toMatchObject({ kind: 'command', change: 'otherwise', choices: ['take', 'mine'] });
  expect(changed?.lines).toEqual([expect.stringMatching(/^Shortcut: .* → F11$/)]);
});

test('both keeps one’s own program beside the one that comes, each with its commands and profile', () => {
  const now = demoSetup();
  const renamedOne = {
    ...larkframe,
    setup: {
      ...larkframe.setup,
      programs: larkframe.setup.programs.map((program) => ({ ...program, keysBy: 'place' as const })),
    },
  };
  const incoming = planIncoming(now, renamedOne, proposeMapping(now, renamedOne.setup));
  expect(incoming.parts.map(({ kind, choices }) => [kind, choices])).toEqual([
    ['program', ['take', 'mine', 'both']],
  ]);
  expect([...proposeChoices(incoming).values()]).toEqual(['mine']);
  const taken = takeIn(now, incoming, new Map([[incoming.parts[0]?.key ?? '', 'both']]));
  if (!taken.ok) throw new Error(JSON.stringify(taken.problem));
  const { setup } = taken.value;
  expect(setup.programs.filter(({ name }) => name.startsWith('Larkframe'))).toHaveLength(2);
  expect(Object.keys(setup.profiles)).toContain('larkframe-2');
  expect(setup.profiles.larkframe).toEqual(now.profiles.larkframe);
  expect(setup.programs.find(({ id }) => id === 'larkframe')).toEqual(now.programs[0]);
  expect(checkSetup(setup)).toEqual([]);
});
