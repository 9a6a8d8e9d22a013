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
  namedByBinding,
  type SingleEdit,
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
/** What is bound on other devices that names a device. */
const naming = (device: string) =>
  Object.values(setup.profiles).flatMap(({ id, bindings }) =>
    Object.entries(bindings).flatMap(([key, binding]) =>
      key.split('/')[1] !== device && namedByBinding(binding).some((each) => each.id === device)
        ? [`${id} ${key}`]
        : [],
    ),
  );
/** An edit after which nothing of that stands. */
const withoutNaming = (device: string, edit: SingleEdit) =>
  together([
    ...naming(device).map((key): SingleEdit => {
      const [profile = '', slot = ''] = key.split(' ');
      return { kind: 'remove', at: `profiles/${profile}/bindings/${slot}` };
    }),
    edit,
  ]);
const anyDevice = fc.constantFrom(...setup.devices.map(({ id }) => id));

test('any device is removed with what is bound to it, and nothing else; undone, it is all there again', () => {
  fc.assert(
    fc.property(anyDevice, (device) => {
      const after = applied(withoutNaming(device, { kind: 'remove', at: itemAt.device(device) }));
      expect(keysOf(after, device)).toEqual([]);
      expect(after.pages.filter((page) => page.device === device)).toEqual([]);
      for (const { id } of setup.devices.filter(({ id: other }) => other !== device)) {
        const kept = keysOf(setup, id).filter((key) => !naming(device).includes(key));
        expect(keysOf(after, id)).toEqual(kept);
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
      const pagesOf = (of: typeof setup, id: string) => of.pages.filter((page) => page.device === id);
      const own = new Map(pagesOf(after, copy.id).map((page, i) => [page.id, pagesOf(setup, device)[i]?.id]));
      const strip = (keys: readonly string[], id: string) =>
        keys.map((key) =>
          key.replace(`/${id}/`, '/').replace(/ ([^/]+)/, (_all, layer) => ` ${own.get(layer) ?? layer}`),
        );
      expect(strip(keysOf(after, copy.id), copy.id)).toEqual(strip(keysOf(setup, device), device));
      // The keys of the copy open the copies.
      const { bindings = {} } = after.profiles.larkframe ?? {};
      const opened = Object.entries(bindings).flatMap(([key, { behaviour }]) =>
        key.includes(`/${copy.id}/`) && behaviour.kind === 'action' && behaviour.action.kind === 'page'
          ? (behaviour.action.page ?? [])
          : [],
      );
      for (const page of opened) expect(own.has(page)).toBe(true);
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
