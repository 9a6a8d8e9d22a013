import fc from 'fast-check';
import { isPressed, type Trigger } from '../devices/index.ts';
import { Counted } from '../testing/index.ts';
import { applyEdit, type Copying, checkSetup, demoSetup, keyOf, planCopy, type Setup } from './index.ts';

const setup = demoSetup();
const places = setup.devices.flatMap(({ id: device, controls }) =>
  controls.flatMap(({ id: control, canPress }) =>
    (canPress ? (['press', 'hold'] as const) : (['clockwise'] as const)).map((trigger: Trigger) => ({
      device,
      control,
      trigger,
    })),
  ),
);
const device = fc.constantFrom(...setup.devices.map(({ id }) => id));
const profile = fc.constantFrom(...Object.keys(setup.profiles));
const place = fc.constantFrom(...places);
const arbitraryCopying: fc.Arbitrary<Copying> = fc.oneof(
  fc.record({ what: fc.constant('row' as const), layer: fc.constant('base'), from: place, to: place }),
  fc.tuple(place, place, profile, profile).map(([from, to, fromProfile, toProfile]) => ({
    what: 'cell' as const,
    from: { profile: fromProfile, layer: 'base', ...from },
    to: { profile: toProfile, layer: 'far', ...to },
  })),
  fc.record({ what: fc.constant('device' as const), from: device, to: device }),
  fc.record({ what: fc.constant('column' as const), from: profile, to: profile }),
);

test('a copy does what its preview says: nothing else changes, the result is sound, undo brings all back', () => {
  const counted = new Counted();
  fc.assert(
    fc.property(arbitraryCopying, (copying) => {
      const { steps, overwritten, left, edit } = planCopy(setup, copying);
      expect(overwritten.every(({ before, refusal }) => before !== null && refusal === null)).toBe(true);
      expect(left.every(({ after }) => after === null)).toBe(true);
      if (!edit) return counted.leftOut();
      counted.tried();
      const result = applyEdit(setup, edit);
      if (!result.ok) throw new Error(JSON.stringify(result.problem));
      const after = result.value.setup;
      expect(checkSetup(after)).toEqual([]);
      const planned = new Map(steps.map((step) => [`${step.slot.profile} ${keyOf(step.slot)}`, step.after]));
      for (const [key, binding] of allBindings(after)) {
        const told = planned.get(key) ?? allBindings(setup).get(key);
        expect([key, binding]).toEqual([key, told]);
      }
      const back = applyEdit(after, result.value.inverse);
      expect(back.ok && back.value.setup).toEqual(setup);
    }),
  );
  counted.atLeast(0.25);
});

function allBindings(of: Setup) {
  return new Map(
    Object.values(of.profiles).flatMap(({ id, bindings }) =>
      Object.entries(bindings).map(([key, binding]) => [`${id} ${key}`, binding] as const),
    ),
  );
}

test('copied onto a turn, a press taps; what a column lacks is found by intent or becomes its bare shortcut', () => {
  const from = { device: 'twelve-pad', control: 'key-5', trigger: 'press' } as const;
  const to = { device: 'twelve-pad', control: 'lower-knob', trigger: 'clockwise' } as const;
  const row = planCopy(setup, { what: 'row', layer: 'base', from, to });
  expect(
    row.steps.every(({ after }) => after?.behaviour.kind !== 'action' || after.behaviour.style === 'tap'),
  ).toBe(true);
  expect(row.overwritten.map(({ slot }) => slot.profile)).toEqual(['tallow']);
  expect(isPressed(to.trigger)).toBe(false);
  const column = planCopy(setup, { what: 'column', from: 'larkframe', to: 'hushbox' });
  const turn = column.steps.find(({ slot }) => slot.device === 'bench-dial' && slot.trigger === 'clockwise');
  expect(turn?.after?.behaviour).toMatchObject({ action: { kind: 'command', command: 'hushbox-scrub-on' } });
});

test('a device is copied control by control: by id, else the next of the same uses', () => {
  const { steps } = planCopy(setup, { what: 'device', from: 'shuttle', to: 'wall-panel' });
  const placed = steps.map(({ slot }) => `${slot.profile} ${slot.control}`);
  expect(placed).toContain('larkframe cell-1');
  expect(placed.some((text) => text.includes('ring'))).toBe(false);
});
