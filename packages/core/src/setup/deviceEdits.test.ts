import fc from 'fast-check';
import { SAMPLES } from '../devices/hid/index.ts';
import { CATALOGUE, fromCatalogue } from '../devices/index.ts';
import {
  applyEdit,
  asItCame,
  changesOf,
  checkSetup,
  copyDevice,
  demoSetup,
  type Edit,
  itemAt,
  together,
} from './index.ts';

const setup = demoSetup();
const applied = (edit: Edit) => {
  const result = applyEdit(setup, edit);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  expect(checkSetup(result.value.setup)).toEqual([]);
  const back = applyEdit(result.value.setup, result.value.inverse);
  expect(back.ok && back.value.setup).toEqual(setup);
  return result.value.setup;
};
const keysOf = (of: typeof setup, device: string) =>
  Object.values(of.profiles).flatMap(({ id, bindings }) =>
    Object.keys(bindings).flatMap((key) => (key.split('/')[1] === device ? [`${id} ${key}`] : [])),
  );
const anyDevice = fc.constantFrom(...setup.devices.map(({ id }) => id));

test('any device is removed with what is bound to it, and nothing else; undone, it is all there again', () => {
  fc.assert(
    fc.property(anyDevice, (device) => {
      const after = applied({ kind: 'remove', at: itemAt.device(device) });
      expect(keysOf(after, device)).toEqual([]);
      for (const { id } of setup.devices.filter(({ id: other }) => other !== device)) {
        expect(keysOf(after, id)).toEqual(keysOf(setup, id));
      }
    }),
  );
});

test('any device is copied with what is bound to it, after it, under a name of its own', () => {
  fc.assert(
    fc.property(anyDevice, (device) => {
      const copy = copyDevice(setup, device);
      if (!copy) throw new Error(device);
      const after = applied(copy.edit);
      const strip = (keys: readonly string[], id: string) => keys.map((key) => key.replace(`/${id}/`, '/'));
      expect(strip(keysOf(after, copy.id), copy.id)).toEqual(strip(keysOf(setup, device), device));
      const at = after.devices.findIndex(({ id }) => id === device);
      expect(after.devices[at + 1]).toMatchObject({ id: copy.id, name: `${setup.devices[at]?.name} 2` });
    }),
  );
  expect(copyDevice(setup, 'gone')).toBeNull();
});

test('a control that is taken away takes what was bound to it along', () => {
  const [dial] = setup.devices.filter(({ id }) => id === 'bench-dial');
  if (!dial) throw new Error('no dial');
  const still = { ...dial, controls: dial.controls.map((control) => ({ ...control, canPress: false })) };
  const after = applied(together(changesOf(itemAt.device(dial.id), dial, still)));
  expect(keysOf(after, 'bench-dial')).toEqual(
    keysOf(setup, 'bench-dial').filter((key) => key.endsWith('clockwise')),
  );
  const renamed = changesOf(itemAt.device(dial.id), dial, { ...dial, name: 'Old dial' });
  expect(renamed).toEqual([{ kind: 'set', at: 'devices/bench-dial', fields: { name: 'Old dial' } }]);
});

test('every device of the catalogue, and every described one, can be put back to how it came', () => {
  for (const device of CATALOGUE) {
    const changed = { ...device, controls: [], settings: { ...device.settings, holdMs: 700 } };
    expect(asItCame({ ...changed, name: 'Mine' })).toEqual({ ...device, name: 'Mine' });
  }
  const dial = fromCatalogue('bench-dial', 'one');
  for (const { descriptor } of SAMPLES) {
    const found = dial && asItCame({ ...dial, model: null, descriptor });
    expect(found?.controls.length).toBeGreaterThan(0);
    expect(found && asItCame(found)).toEqual(found);
  }
  expect(dial && asItCame({ ...dial, model: null })).toBeNull();
});

test('a layer is removed with its bindings, unless something still turns it on', () => {
  const remove = (id: string): Edit => ({ kind: 'remove', at: itemAt.layer(id) });
  expect(applyEdit(setup, remove('far'))).toMatchObject({ ok: false, problem: { code: 'still-used' } });
  const near: Edit = {
    kind: 'add',
    at: itemAt.layer('near'),
    item: { id: 'near', name: 'Near' },
    after: 'far',
  };
  const with3 = applied(near);
  const back = applyEdit(with3, remove('near'));
  expect(back.ok && back.value.setup).toEqual(setup);
});
