import { CATALOGUE } from '../devices/index.ts';
import { checkSetup, setupSchema } from '../setup/index.ts';
import { emptySetup, newSetUpSchema, readyMadeSetup } from './index.ts';

test('an empty set-up is a good one', () => {
  const setup = emptySetup('Loft');
  expect(setupSchema.parse(setup)).toEqual(setup);
  expect(checkSetup(setup)).toEqual([]);
  expect(setup).toMatchObject({ name: 'Loft', devices: [], programs: [] });
});

test('any devices of the catalogue make a good one, with something set for every kind that has a start', () => {
  const models = CATALOGUE.map(({ id }) => id);
  const setup = readyMadeSetup('Bench', [...models, 'six-pad']);
  expect(setupSchema.parse(setup)).toEqual(setup);
  expect(checkSetup(setup)).toEqual([]);
  expect(setup.devices.map(({ id }) => id)).toEqual([...models, `six-pad-${models.length + 1}`]);
  const bound = Object.keys(setup.profiles.everywhere?.bindings ?? {}).map((slot) => slot.split('/')[1]);
  const idle = setup.devices.filter(({ id }) => !bound.includes(id)).map(({ id }) => id);
  expect(idle).toEqual([]);
});

test('what a set-up begins as is one of four things, with devices that there are', () => {
  const begins = (begin: unknown) => newSetUpSchema.safeParse({ name: 'Loft', begin }).success;
  expect(begins({ from: 'empty' })).toBe(true);
  expect(begins({ from: 'ready-made', models: ['six-pad', 'six-pad'] })).toBe(true);
  expect(begins({ from: 'ready-made', models: [] })).toBe(false);
  expect(begins({ from: 'ready-made', models: ['constructor'] })).toBe(false);
  expect(begins({ from: 'copy', of: 'one', revision: null })).toBe(true);
  expect(begins({ from: 'copy', of: '../one', revision: 1 })).toBe(false);
});
