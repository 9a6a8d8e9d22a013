import fc from 'fast-check';
import {
  addHeardControl,
  addPhrase,
  controlHeard,
  deviceOf,
  deviceSchema,
  heardAsControl,
  shapeBox,
  sixPad,
  voice,
  wallPanel,
} from './index.ts';

const empty = deviceOf({ id: 'pad', name: 'Pad', kind: 'key-pad', width: 20, height: 20, controls: [] });
const changes = [{ kind: 'down' }, { kind: 'turn', amount: 1 }, { kind: 'value', value: 0.5 }] as const;

test('a device mapped by pressing its keys one after another stays sound, and each is heard as what it is', () => {
  const heard = fc.array(
    fc.record({ change: fc.constantFrom(...changes), code: fc.integer({ min: 0, max: 40 }) }),
    {
      maxLength: 30,
    },
  );
  fc.assert(
    fc.property(heard, fc.constantFrom(empty, sixPad('pad'), wallPanel('pad')), (all, start) => {
      let device = start;
      for (const [i, { change, code }] of all.entries()) {
        device = addHeardControl(device, `key/K${i}`, `Key ${code}`, change).device;
      }
      expect(deviceSchema.parse(device)).toEqual(device);
      expect(new Set(device.controls.map(({ id }) => id)).size).toBe(device.controls.length);
      for (const [i, { change }] of all.entries()) {
        const found = controlHeard([device], { id: `key/K${i}`, change });
        expect(found?.control.id).toBe(device.controls[start.controls.length + i]?.id);
      }
      const boxes = device.controls.slice(start.controls.length).map(({ shape }) => shapeBox(shape));
      boxes.forEach((a, i) => {
        expect(a.right <= device.width && a.bottom <= device.height).toBe(true);
        for (const b of boxes.slice(i + 1)) {
          const apart = a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top;
          expect(apart).toBe(true);
        }
      });
    }),
  );
});

test('a voice learns phrases, each a control of its own below the others', () => {
  const learnt = ['Cut', 'Cut', 'Next scene'].reduce(addPhrase, voice('voice', ['Take it']));
  expect(deviceSchema.parse(learnt)).toEqual(learnt);
  expect(learnt.controls.map(({ phrase }) => phrase)).toEqual(['Take it', 'Cut', 'Cut', 'Next scene']);
  expect(new Set(learnt.controls.map(({ id }) => id)).size).toBe(4);
  for (const { shape } of learnt.controls) {
    expect(shapeBox(shape).bottom).toBeLessThanOrEqual(learnt.height);
  }
});

test('what was heard as one control can be given to another, and is then heard as that alone', () => {
  const once = heardAsControl(sixPad('pad'), 'key-1', 'key/F13');
  const again = heardAsControl(once, 'key-2', 'key/F13');
  expect(again.controls.map(({ heardAs }) => heardAs.length)).toEqual([0, 1, 0, 0, 0, 0]);
});
