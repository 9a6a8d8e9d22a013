import { demoSetup } from '../setup/index.ts';
import { compile } from './compile.ts';
import type { EngineEvent } from './event.ts';
import { resolutionNow } from './lookup.ts';
import { INITIAL_STATE } from './state.ts';
import { step } from './step.ts';

const compiled = compile(demoSetup());
const front = (id: string): EngineEvent => ({
  kind: 'front',
  t: 0,
  window: { executable: id, class: '', title: '' },
});

test.each(['larkframe', 'brindle', 'fernway'])(
  'what is shown of a key is what a press of it becomes, with %s in front',
  (program) => {
    const { state } = step(compiled, INITIAL_STATE, front(program));
    for (const device of compiled.setup.devices) {
      for (const { id: control, canPress } of device.controls) {
        if (!canPress) continue;
        const shown = resolutionNow(compiled, state, device.id, control, 'press');
        const event = { kind: 'down', t: 1, device: device.id, control } as const;
        const { outcome } = step(compiled, state, event).explanation;
        if (outcome.kind === 'pressed') expect(outcome.resolution.decided).toEqual(shown.decided);
      }
    }
  },
);

test('a layer that is on is looked at first, and no longer when it is off', () => {
  const far = 'far';
  const on = { ...INITIAL_STATE, layers: [far, 'base'] };
  const placesOf = (state: typeof INITIAL_STATE) =>
    resolutionNow(compiled, state, 'twelve-pad', 'key-5', 'press').looked.map(({ layer }) => layer);
  expect(placesOf(on)[0]).toBe(far);
  expect(placesOf(INITIAL_STATE)).not.toContain(far);
});
