import fc from 'fast-check';
import { fromCatalogue, type Trigger, twelvePad } from '../devices/index.ts';
import { KEY_TABLE } from '../keys/index.ts';
import { US_LAYOUT } from '../keys/layouts/index.ts';
import { compareMemory, type MemoryEntry, planMemory, readMemory, writeMemory } from '../memory/index.ts';
import { acting, type Behaviour, demoSetup, type Setup, slotKey } from '../setup/index.ts';
import { arbitrarySetup, fuzz, SWAPPED } from '../testing/index.ts';
import { hasUsage } from './memoryBytes.ts';

const pad = twelvePad('pad');
const code = fc.constantFrom(...KEY_TABLE.map((key) => key.code).filter(hasUsage));
const chord = fc.array(code, { minLength: 1, maxLength: 5 });
const arbitraryEntry: fc.Arbitrary<MemoryEntry> = fc.record({
  control: fc.constantFrom(...pad.controls.map(({ id }) => id)),
  trigger: fc.constantFrom<Trigger>('press', 'clockwise', 'anticlockwise'),
  does: fc.oneof(
    fc.record({ kind: fc.constant('keys' as const), held: fc.boolean(), codes: chord }),
    fc.record({
      kind: fc.constant('steps' as const),
      chords: fc.array(chord, { minLength: 2, maxLength: 4 }),
    }),
    fc.record({
      kind: fc.constant('button' as const),
      held: fc.boolean(),
      button: fc.integer({ min: 0, max: 4 }),
    }),
    fc.record({
      kind: fc.constant('wheel' as const),
      ticks: fc.integer({ min: -20, max: 20 }),
      axis: fc.constantFrom('vertical' as const, 'horizontal' as const),
    }),
    fc.constant({ kind: 'nothing' as const }),
  ),
});

test('what is written is read back, and any single damaged byte is noticed', () => {
  fc.assert(
    fc.property(
      fc.array(arbitraryEntry, { maxLength: 20 }),
      fc.nat(),
      fc.integer({ min: 1, max: 255 }),
      (entries, at, by) => {
        const bytes = writeMemory(pad, { layout: 'de', entries });
        expect(readMemory(pad, bytes)).toEqual({ ok: true, value: { layout: 'de', entries } });
        const damaged = Uint8Array.from(bytes);
        damaged[at % bytes.length] = ((damaged[at % bytes.length] ?? 0) + by) & 0xff;
        expect(readMemory(pad, damaged)).toEqual({ ok: false, problem: 'damaged' });
      },
    ),
  );
});

test('bytes that are no memory are refused, whatever they are', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 60 }), (bytes) => {
      const read = readMemory(pad, bytes);
      expect(read.ok || ['empty', 'damaged', 'other-device', 'newer'].includes(read.problem)).toBe(true);
    }),
  );
  const nothing: MemoryEntry = { control: 'lower-knob', trigger: 'press', does: { kind: 'nothing' } };
  const bytes = writeMemory(pad, { layout: null, entries: [nothing] });
  expect(readMemory({ ...pad, controls: pad.controls.slice(0, 2) }, bytes)).toEqual({
    ok: false,
    problem: 'other-device',
  });
});

test('a plan never takes more than the slot has, and is as long as its bytes say', () => {
  const profiles = ['everywhere', 'larkframe', 'brindle'];
  fuzz(
    fc.property(
      arbitrarySetup,
      fc.integer({ min: 16, max: 200 }),
      fc.constantFrom(...profiles),
      (setup: Setup, size, profile) => {
        for (const device of setup.devices) {
          const plan = planMemory(setup, device, profile, size, US_LAYOUT);
          expect(plan.bytes).toBeLessThanOrEqual(size);
          expect(writeMemory(device, { layout: 'us', entries: plan.entries })).toHaveLength(plan.bytes);
        }
      },
    ),
    240,
  );
});

test('the pad in Larkframe: by hand, what fits in 96 bytes', () => {
  const setup = demoSetup();
  const device = setup.devices.find(({ id }) => id === 'twelve-pad') ?? pad;
  const all = planMemory(setup, device, 'larkframe', 4096, US_LAYOUT);
  // Ten keys and the knob's three uses are set: 6 bytes round them, 4 and 2 a key for each. Ctrl+Z, Ctrl+C, Ctrl+V and
  // Ctrl+S have two keys, Ctrl+Shift+Z three, the other eight one: 6 + 13 · 4 + 2 · (4 · 2 + 3 + 8) = 96.
  expect([all.entries.length, all.left.length, all.bytes]).toEqual([13, 0, 96]);
  const small = planMemory(setup, device, 'larkframe', 60, US_LAYOUT);
  expect(small.left.length).toBe(13 - small.entries.length);
  expect(small.left.every(({ reason }) => reason === 'full')).toBe(true);
  expect(small.bytes).toBeLessThanOrEqual(60);
});

const plain = (action: Parameters<typeof acting>[0]) => acting(action, 'tap');
test.each<readonly [string, Trigger, Behaviour]>([
  ['trigger', 'hold', plain({ kind: 'shortcut', shortcut: 'A' })],
  ['style', 'press', acting({ kind: 'shortcut', shortcut: 'A' }, 'latch')],
  ['guard', 'press', { ...plain({ kind: 'shortcut', shortcut: 'A' }), guard: 'longer' }],
  [
    'target',
    'press',
    { ...plain({ kind: 'shortcut', shortcut: 'A' }), target: { program: 'brindle', focus: false } },
  ],
  ['heard-by', 'press', { kind: 'off', heardBy: ['tin-can'], sends: null }],
  ['waits', 'press', plain({ kind: 'macro', macro: 'hold-a-frame' })],
  ['radial', 'press', plain({ kind: 'radial', menu: 'paints' })],
  ['program', 'press', plain({ kind: 'program', program: 'brindle', launch: true })],
  ['profile', 'press', plain({ kind: 'profile', change: 'next', profiles: [] })],
  ['layer', 'press', plain({ kind: 'layer', layer: 'far', mode: 'on' })],
  ['page', 'press', plain({ kind: 'page', change: 'back', page: null, device: null })],
  ['text', 'press', plain({ kind: 'text', text: 'heron' })],
])('a %s stays out: it needs Nimble Lever', (reason, trigger, behaviour) => {
  const setup = demoSetup();
  const device = fromCatalogue('six-pad', 'six');
  const brindle = setup.profiles.brindle;
  if (!device || !brindle) throw new Error('no demo');
  const key = slotKey('base', 'six', 'key-1', trigger);
  const profile = { ...brindle, bindings: { [key]: { behaviour, face: null, note: null } } };
  const bound = { ...setup, devices: [device], profiles: { ...setup.profiles, brindle: profile } };
  expect(planMemory(bound, device, 'brindle', 4096, US_LAYOUT)).toMatchObject({
    entries: [],
    left: [{ reason }],
  });
});

test('a macro of shortcuts alone is kept as steps; compared, what differs is told', () => {
  const setup = demoSetup();
  const [macro] = setup.macros;
  if (!macro) throw new Error('no macro');
  const steps = macro.steps.filter(({ kind }) => kind === 'shortcut');
  const quick = { ...setup, macros: [{ ...macro, steps }] };
  const shuttle = setup.devices.find(({ id }) => id === 'shuttle') ?? pad;
  const plan = planMemory(quick, shuttle, 'larkframe', 4096, US_LAYOUT);
  const kept = plan.entries.find(({ control }) => control === 'key-9');
  expect(kept?.does).toEqual({ kind: 'steps', chords: [['KeyD'], ['KeyD'], ['ArrowRight']] });
  const [first, ...others] = plan.entries;
  const differences = compareMemory(plan.entries, others);
  expect(differences.filter(({ same }) => !same)).toMatchObject([{ control: first?.control, wanted: null }]);
});

test('a memory of the first version is read, its layout unknown; a newer one is refused', () => {
  const first = [0x4e, 0x4c, 0x01, 1, 0, 0, 0x10, 1, 0, 4];
  const sum = first.reduce((total, byte) => total + byte, 0);
  const read = readMemory(pad, Uint8Array.from([...first, (0x100 - (sum & 0xff)) & 0xff]));
  const [{ id = '' } = {}] = pad.controls;
  const does = { kind: 'keys', held: false, codes: ['KeyA'] };
  expect(read).toEqual({
    ok: true,
    value: { layout: null, entries: [{ control: id, trigger: 'press', does }] },
  });
  expect(readMemory(pad, Uint8Array.from([0x4e, 0x4c, 3, 0, 0, 0x63]))).toEqual({
    ok: false,
    problem: 'newer',
  });
});

test('keys are those of the keyboard it is stored for; what it cannot type stays out', () => {
  const setup = demoSetup();
  const shortcut = (text: string) => plain({ kind: 'shortcut', shortcut: text });
  const bindings = {
    [slotKey('base', 'pad', 'key-1', 'press')]: { behaviour: shortcut('Ctrl+Z'), face: null, note: null },
    [slotKey('base', 'pad', 'key-2', 'press')]: { behaviour: shortcut('Ctrl+漢'), face: null, note: null },
  };
  const brindle = { id: 'brindle', name: null, program: 'brindle', rules: [], basedOn: null, bindings };
  const own = { ...setup, devices: [pad], profiles: { ...setup.profiles, brindle } };
  const plan = planMemory(own, pad, 'brindle', 4096, SWAPPED);
  const first = plan.entries.find(({ control }) => control === 'key-1');
  expect(first?.does).toEqual({ kind: 'keys', held: false, codes: ['ControlLeft', 'KeyY'] });
  expect(plan.left).toContainEqual({ control: 'key-2', trigger: 'press', reason: 'no-key' });
});
