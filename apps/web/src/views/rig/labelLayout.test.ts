import { CATALOGUE } from '@nimble-lever/core/devices';
import fc from 'fast-check';
import type { ControlUse } from './controlUses.ts';
import { layOut } from './labelLayout.ts';

const measure = (text: string) => 5.5 * text.length;
const use = fc.record({
  trigger: fc.constant<ControlUse['trigger']>('press'),
  way: fc.constantFrom('Press', 'Hold', 'Anticlockwise', 'Press while touching'),
  does: fc.option(fc.constantFrom('Undo', 'Step one frame back', 'Move the shadows of the picture up')),
  family: fc.constant(null),
});
const rig = fc.constantFrom(...CATALOGUE).chain((device) =>
  fc.record({
    device: fc.constant(device),
    uses: fc.tuple(...device.controls.map(() => fc.array(use, { minLength: 1, maxLength: 6 }))),
  }),
);

test('labels stay in the room and apart from each other, whatever controls do', () => {
  fc.assert(
    fc.property(
      rig,
      fc.integer({ min: 360, max: 900 }),
      fc.integer({ min: 120, max: 700 }),
      ({ device, uses }, width, height) => {
        const plan = layOut(
          device,
          { width, height },
          new Map(device.controls.map(({ id }, i) => [id, uses[i] ?? []])),
          measure,
        );
        for (const side of ['left', 'right']) {
          const labels = plan?.labels.filter((label) => label.side === side) ?? [];
          let end = 0;
          for (const { y, texts, width: room, wraps } of labels.toSorted((a, b) => a.y - b.y)) {
            const lines = texts.map((text) => (wraps ? Math.min(2, Math.ceil(measure(text) / room)) : 1));
            const half = (14 * (1 + lines.reduce((sum, own) => sum + own, 0))) / 2;
            expect(y - half).toBeGreaterThanOrEqual(end - 0.001);
            end = y + half;
          }
          expect(end).toBeLessThanOrEqual(height);
        }
      },
    ),
  );
});

test.each([
  [600, ['Press: Undo', 'Hold: Step one frame back', 'Double press: Move the shadows of the picture up']],
  [75, ['Press: Undo', '2 more']],
  [50, ['3 uses']],
])('a label in a room %s pixels high', (height, expected) => {
  const device = CATALOGUE.find(({ id }) => id === 'bench-dial');
  if (!device) throw new Error('bench-dial');
  const uses = [
    'Press: Undo',
    'Hold: Step one frame back',
    'Double press: Move the shadows of the picture up',
  ].map((text): ControlUse => {
    const [way = '', does = ''] = text.split(': ');
    return { trigger: 'press', way, does, family: null };
  });
  const plan = layOut(device, { width: 600, height }, new Map([['dial', uses]]), measure);
  expect(plan?.labels.map(({ texts }) => texts)).toEqual([expected]);
});
