import fc from 'fast-check';
import { CATALOGUE, type Device, fromCatalogue } from '../devices/index.ts';
import { matchControls } from './matchControls.ts';

const made = (model: string): Device => {
  const device = fromCatalogue(model, 'own');
  if (!device) throw new Error(`There is no ${model}.`);
  return device;
};
const models = CATALOGUE.flatMap(({ model }) => model ?? []);
/** As another person has one: the drawing may be listed in any order. */
const anyDevice = fc.constantFrom(...models).chain((model) => {
  const device = made(model);
  return fc
    .shuffledSubarray([...device.controls], { minLength: 1 })
    .map((controls): Device => ({ ...device, controls }));
});

test('on one of the same make every control is itself', () => {
  for (const model of models) {
    const device = made(model);
    const matched = matchControls({ ...device, id: 'theirs' }, device);
    expect(matched).toEqual(Object.fromEntries(device.controls.map(({ id }) => [id, id])));
  }
});

test('keys of a pad go to those in the same row and column, the rest to what is left', () => {
  const matched = matchControls(made('twelve-pad'), made('six-pad'));
  expect(matched).toMatchObject({
    'key-1': 'key-1',
    'key-3': 'key-3',
    'key-4': null,
    'key-5': 'key-4',
    'key-7': 'key-6',
    'key-9': null,
    'upper-knob': null,
  });
  const back = matchControls(made('six-pad'), made('twelve-pad'));
  expect(back).toMatchObject({ 'key-3': 'key-3', 'key-4': 'key-5', 'key-6': 'key-7' });
});

test('what has nothing in its place goes to one of its kind that is left', () => {
  const pad = made('six-pad');
  const key = pad.controls[0];
  if (!key) throw new Error('A pad has keys.');
  const column = [0, 1, 2].map((n) => ({
    ...key,
    id: `stacked-${n}`,
    shape: { kind: 'rect' as const, x: 0, y: 30 * n, width: 20, height: 20, radius: 2 },
  }));
  const matched = matchControls({ id: 'column', model: null, controls: column }, pad);
  expect(matched).toEqual({ 'stacked-0': 'key-1', 'stacked-1': 'key-4', 'stacked-2': 'key-2' });
});

test('each is given once, to one of its kind, and none is left out while one of its kind is free', () => {
  fc.assert(
    fc.property(anyDevice, anyDevice, (device, own) => {
      const matched = matchControls(device, own);
      expect(Object.keys(matched).sort()).toEqual(device.controls.map(({ id }) => id).sort());
      const given = Object.values(matched).flatMap((id) => id ?? []);
      expect(new Set(given).size).toBe(given.length);
      for (const { id, kind } of device.controls) {
        const to = own.controls.find((control) => control.id === matched[id]);
        const free = own.controls.filter((control) => control.kind === kind && !given.includes(control.id));
        if (to) expect(to.kind).toBe(kind);
        else expect(free).toEqual([]);
      }
    }),
  );
});
