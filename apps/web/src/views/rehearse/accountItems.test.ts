import { type EngineEvent, simulate } from '@nimble-lever/core/engine';
import { demoSetup, type Setup } from '@nimble-lever/core/setup';
import { accountOf, sentOf } from '@nimble-lever/core/words';
import { type EngineSlice, engineReducer, programRan, stepped } from '../../app/engine/engineSlice.ts';
import { accountItems } from './accountItems.ts';

const dial = { device: 'bench-dial', control: 'dial' };
const turn = (t: number, amount: number): EngineEvent => ({
  kind: 'turn',
  t,
  ...dial,
  unit: 'degrees',
  amount,
});
const front: EngineEvent = { kind: 'front', t: 0, window: { executable: 'larkframe', class: '', title: '' } };
const ran = { program: 'Larkframe', command: 'Step one frame on', said: '' };

function told(events: readonly EngineEvent[], setup: Setup = demoSetup()): string[] {
  const { explanations } = simulate(setup, events);
  const slice = explanations.reduce<EngineSlice>(
    (before, explanation) =>
      explanation.strokes
        .filter(({ kind }) => kind === 'key-down')
        .reduce(
          (state, _, i) => engineReducer(state, programRan({ ...ran, said: `Frame ${i}.` })),
          engineReducer(before, stepped({ engine: before.engine, explanations: [explanation] })),
        ),
    engineReducer(undefined, { type: 'first' }),
  );
  return accountItems(slice.happenings).map(({ explanation, ran: done }) => {
    const { did } = accountOf(setup, explanation);
    const sent = sentOf(explanation.strokes).map(({ text, count }) => `${text}×${count}`);
    return [did, ...sent, ...done.map(({ count }) => `ran×${count}`)].join(' ');
  });
}

test('turns the same way soon after one another are told as one, newest first', () => {
  expect(told([front, turn(10, 10), turn(60, 10), turn(110, 34)])).toEqual([
    'turned 54° ArrowRight×3 ran×3',
    'came to the front',
  ]);
});

test('a pause, or a turn back, begins a new entry', () => {
  expect(told([front, turn(10, 18), turn(800, 18), turn(850, -18)])).toEqual([
    'turned back 18° ArrowLeft×1 ran×1',
    'turned 18° ArrowRight×1 ran×1',
    'turned 18° ArrowRight×1 ran×1',
    'came to the front',
  ]);
});

test('a pad that slides both ways at once is told once for each way, with where it is now', () => {
  const setup = demoSetup();
  const across = { thresholds: [] };
  const devices = setup.devices.map((device) => ({
    ...device,
    controls: device.controls.map((each) => (each.id === 'fader-1' ? { ...each, across } : each)),
  }));
  const to = (t: number, value: number, more: object = {}): EngineEvent => ({
    kind: 'position',
    t,
    device: 'wall-panel',
    control: 'fader-1',
    value,
    ...more,
  });
  const both = (t: number, value: number) => [to(t, value), to(t, 1 - value, { axis: 'across' })];
  const lines = told([front, ...both(10, 0.1), ...both(20, 0.15), ...both(30, 0.2), ...both(2000, 0.2)], {
    ...setup,
    devices,
  });
  expect(lines.map((line) => line.replace(/ \/.*/, ''))).toEqual([
    'fader 1 across to 80 %',
    'fader 1 up to 20 %',
    'fader 1 across to 80 %',
    'fader 1 up to 20 %',
    'came to the front',
  ]);
});

test('coming up is told only when it comes up in silence', () => {
  const down: EngineEvent = { kind: 'down', t: 1, ...dial };
  const up: EngineEvent = { kind: 'up', t: 3, ...dial };
  expect(told([front, down, up, { kind: 'edited', t: 4 }])).toEqual([
    'press Enter×1 ran×1',
    'came to the front',
  ]);
  const gone: EngineEvent = { kind: 'front', t: 2, window: null };
  expect(told([front, down, gone, up])[0]).toBe('press came up');
});

const press = (t: number, device: string, control: string): EngineEvent[] => [
  { kind: 'down', t, device, control },
  { kind: 'up', t: t + 20, device, control },
];

test('a slider on its way is told once, with where it is', () => {
  const slide = (t: number, value: number): EngineEvent => ({
    kind: 'position',
    t,
    device: 'wall-panel',
    control: 'fader-1',
    value,
  });
  const lines = told([front, ...[0.2, 0.3, 0.4, 0.5].map((value, i) => slide(10 + i * 30, value))]);
  expect(lines.filter((line) => line.startsWith('fader 1'))).toHaveLength(1);
  expect(lines[0]).toMatch(/^fader 1 to 50 %/);
  expect(
    told([front, slide(10, 0.2), slide(900, 0.4)]).filter((line) => line.startsWith('fader')),
  ).toHaveLength(2);
});

test('a guarded press is told once, whatever becomes of it', () => {
  const key = { device: 'shuttle', control: 'key-5' };
  const down: EngineEvent = { kind: 'down', t: 10, ...key };
  const short = told([front, down, { kind: 'up', t: 40, ...key }]);
  expect(short.filter((line) => /^key 5(?! came)/.test(line))).toEqual(['key 5']);
  const long = told([front, down, { kind: 'up', t: 2000, ...key }]);
  expect(long.filter((line) => /^key 5(?! came)/.test(line))).toEqual(['key 5 Delete×1 ran×1']);
});

test('the pointer’s way is no news, a nudge is, with its device and key', () => {
  expect(told([front, { kind: 'move', t: 5, dx: 40, dy: 0 }, ...press(10, 'bench-dial', 'dial')])).toEqual([
    'press Enter×1 ran×1',
    'came to the front',
  ]);
});

test('a slider that is moved for long leaves what was done before it in the account', () => {
  const to = (t: number): EngineEvent => ({
    kind: 'position',
    t,
    device: 'wall-panel',
    control: 'fader-1',
    value: (t % 1000) / 1000,
  });
  const lines = told([front, turn(5, 18), ...Array.from({ length: 1200 }, (_, i) => to(10 + 8 * i))]);
  expect(lines).toHaveLength(3);
  expect(lines.slice(1)).toEqual(['turned 18° ArrowRight×1 ran×1', 'came to the front']);
});
