import { US_LAYOUT } from '../keys/layouts/index.ts';
import { applyEdit, demoSetup, together } from '../setup/index.ts';
import { compareMemory, planMemory, takeOverMemory } from './index.ts';

const setup = demoSetup();

test.each(setup.devices.map(({ id }) => id))(
  'what %s would keep of one program is kept the same once another has taken it over',
  (id) => {
    const device = setup.devices.find((each) => each.id === id);
    if (!device) throw new Error(id);
    const { entries } = planMemory(setup, device, 'brindle', 100_000, US_LAYOUT);
    const edits = takeOverMemory(setup, id, 'fernway', entries, US_LAYOUT);
    const applied = edits.length > 0 ? applyEdit(setup, together(edits)) : null;
    if (applied && !applied.ok) throw new Error(applied.problem.code);
    const after = applied ? applied.value.setup : setup;
    const now = planMemory(after, device, 'fernway', 100_000, US_LAYOUT).entries;
    const own = new Set(entries.map(({ control, trigger }) => `${control}/${trigger}`));
    const same = now.filter(({ control, trigger }) => own.has(`${control}/${trigger}`));
    expect(compareMemory(entries, same).filter((each) => !each.same)).toEqual([]);
  },
);

test('taking over what is there already changes nothing a second time; face and note stay', () => {
  const [device] = setup.devices;
  if (!device) throw new Error('no device');
  const { entries } = planMemory(setup, device, 'larkframe', 100_000, US_LAYOUT);
  const once = applyEdit(setup, together(takeOverMemory(setup, device.id, 'larkframe', entries, US_LAYOUT)));
  if (!once.ok) throw new Error(once.problem.code);
  expect(takeOverMemory(once.value.setup, device.id, 'larkframe', entries, US_LAYOUT)).toEqual([]);
  const key = 'base/bench-dial/dial/clockwise';
  const [before, after] = [setup, once.value.setup].map((each) => each.profiles.larkframe?.bindings[key]);
  expect([after?.face, after?.note]).toEqual([before?.face, before?.note]);
});
