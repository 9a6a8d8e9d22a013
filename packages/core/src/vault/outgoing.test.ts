import fc from 'fast-check';
import { PART_FILE_KINDS, readSetupDocument, writeSetupDocument } from '../formats/index.ts';
import { checkSetup, demoSetup, type Setup } from '../setup/index.ts';
import { arbitrarySetup, fuzz } from '../testing/index.ts';
import { differencesBetween, hasPart, outgoing, partKeys } from './index.ts';

const outOf = (setup: Setup, kind: (typeof PART_FILE_KINDS)[number], id: string): Setup => {
  const out = outgoing(setup, { kind, id });
  if (!out.ok) throw new Error(JSON.stringify(out.problem));
  return out.value;
};

test('any part goes out with what it needs, as a sound set-up of its own in which it is as it was', () => {
  fuzz(
    fc.property(arbitrarySetup, (setup) => {
      const ids = {
        device: setup.devices.map(({ id }) => id),
        program: setup.programs.map(({ id }) => id),
        profile: Object.keys(setup.profiles),
        macro: setup.macros.map(({ id }) => id),
      };
      for (const kind of PART_FILE_KINDS) {
        for (const id of ids[kind]) {
          const out = outOf(setup, kind, id);
          expect(checkSetup(out)).toEqual([]);
          expect(hasPart(out, { kind, id })).toBe(true);
          const differ = new Set(differencesBetween(setup, out).map(({ key }) => key));
          expect(partKeys(setup, { kind, id }).filter((key) => differ.has(key))).toEqual([]);
        }
      }
    }),
    120,
  );
});

test('a program of the demo takes along the devices it is used with, and nothing of other programs', () => {
  const out = outOf(demoSetup(), 'program', 'larkframe');
  expect(out.programs.map(({ id }) => id)).toEqual(['larkframe']);
  expect(out.devices.map(({ id }) => id)).toContain('twelve-pad');
  const all = demoSetup().commonCommands.length;
  expect(out.commonCommands.length).toBeLessThan(all);
  expect(out.keyboards).toEqual({});
});

test('the same content is the same file, whatever the order in which it was made', () => {
  const setup = demoSetup();
  const turned = {
    ...setup,
    profiles: Object.fromEntries(
      Object.entries(setup.profiles)
        .reverse()
        .map(([id, profile]) => [
          id,
          { ...profile, bindings: Object.fromEntries(Object.entries(profile.bindings).reverse()) },
        ]),
    ),
  };
  const part = { kind: 'program', id: 'larkframe' } as const;
  const text = writeSetupDocument(setup, {}, part);
  expect(writeSetupDocument(turned, {}, part)).toBe(text);
  expect(readSetupDocument(text)).toEqual({ ok: true, value: { setup, part, pictures: {} } });
});
