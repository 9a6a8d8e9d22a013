import fc from 'fast-check';
import type { Device } from '../devices/index.ts';
import {
  type BareStep,
  type Command,
  type Macro,
  numberSteps,
  type Page,
  type Program,
  type Setup,
  slotKey,
  type WindowAsked,
} from '../setup/index.ts';
import { arbitrarySlotBinding, FEW_SHORTCUTS } from './arbitraryBinding.ts';
import { smallSetup } from './smallRig.ts';

const mostlyFalse = fc.nat(5).map((one) => one === 0);

/** Windows of the events there are, and one that never comes. */
const WAITED_FOR: readonly WindowAsked[] = [
  { executable: { match: 'exact', text: 'brindle' }, class: null, title: null },
  {
    executable: { match: 'exact', text: 'larkframe' },
    class: null,
    title: { match: 'glob', text: 'Export*' },
  },
  { executable: null, class: null, title: { match: 'regex', text: '^heron' } },
  { executable: { match: 'glob', text: '*' }, class: null, title: null },
  { executable: { match: 'exact', text: 'nowhere' }, class: null, title: null },
];

const { step } = fc.letrec<{ step: BareStep }>((tie) => ({
  step: fc.oneof(
    { maxDepth: 2 },
    fc.constantFrom<string>(...FEW_SHORTCUTS).map((shortcut): BareStep => ({ kind: 'shortcut', shortcut })),
    fc.constantFrom<BareStep>(
      { kind: 'key-down', code: 'ShiftLeft' },
      { kind: 'key-up', code: 'ShiftLeft' },
      { kind: 'key-down', code: 'KeyA' },
      { kind: 'text', text: 'reed' },
      { kind: 'button', button: 0, change: 'down' },
      { kind: 'button', button: 0, change: 'up' },
      { kind: 'click', button: 0, count: 1, at: null },
      { kind: 'wheel', ticks: -1, axis: 'vertical' },
      { kind: 'focus', program: 'hushbox', launch: false },
      { kind: 'menu', path: ['Window', 'Colours'] },
      { kind: 'pointer', change: 'remember' },
      { kind: 'pointer', change: 'back' },
      { kind: 'layer', layer: 'second', on: true },
      { kind: 'layer', layer: 'second', on: false },
    ),
    fc.constantFrom(1, 40, 150).map((ms): BareStep => ({ kind: 'wait', ms })),
    fc.constantFrom(1, 40, 150).map((ms): BareStep => ({ kind: 'wait', ms })),
    fc.constantFrom('‹ask Which?› reed ‹ask›', '‹ask›').map((text): BareStep => ({ kind: 'text', text })),
    fc
      .record({
        window: fc.constantFrom(...WAITED_FOR),
        atMostMs: fc.constantFrom(1, 300, 3000),
        late: fc.constantFrom('stop' as const, 'go-on' as const),
      })
      .map((until): BareStep => ({ kind: 'until', ...until })),
    fc
      .record({
        times: fc.integer({ min: 1, max: 3 }),
        steps: fc.array(tie('step'), { maxLength: 3 }),
        skipped: mostlyFalse,
      })
      .map((repeat): BareStep => ({ kind: 'repeat', ...repeat })),
    fc
      .record({
        keys: fc.constantFrom('Alt', 'Ctrl+Shift', 'Shift', 'A', '漢'),
        steps: fc.array(tie('step'), { maxLength: 3 }),
        skipped: mostlyFalse,
      })
      .map((hold): BareStep => ({ kind: 'hold', ...hold })),
  ),
}));

/** Steps of every kind, some in blocks. */
export const arbitraryMacroSteps: fc.Arbitrary<BareStep[]> = fc.array(step, { maxLength: 6 });

const arbitraryMacros: fc.Arbitrary<Macro[]> = fc
  .tuple(
    ...smallSetup().macros.map((macro) =>
      fc.record({
        steps: fc.oneof(
          fc.constant(macro.steps),
          arbitraryMacroSteps.map((steps) => numberSteps(steps)),
        ),
        times: fc.integer({ min: 1, max: 3 }),
        again: fc.constantFrom('ignore' as const, 'restart' as const, 'queue' as const),
        goesOn: fc.boolean(),
        pace: fc.constantFrom(0, 0, 15, 100),
      }),
    ),
  )
  .map((parts) => smallSetup().macros.map((macro, i) => ({ ...macro, ...parts[i] })));

/** The small rig's mouse with up to three more of its devices, so that random events often meet. */
const arbitraryRig: fc.Arbitrary<Setup> = fc
  .subarray(
    smallSetup()
      .devices.map(({ id }) => id)
      .filter((id) => id !== 'mouse'),
    { maxLength: 3 },
  )
  .chain((others) => {
    const setup = smallSetup();
    const devices = setup.devices.filter(({ id }) => id === 'mouse' || others.includes(id));
    const there = new Set(devices.map(({ id }) => id));
    const pages = setup.pages.filter(({ device }) => there.has(device)).map(arbitraryPage);
    return fc
      .tuple(fc.tuple(...devices.map(arbitraryTuning)), fc.tuple(...pages))
      .map(([tuned, ownPages]) => ({ ...setup, devices: tuned, pages: ownPages }));
  });

/** A page as it is, or one that lets through and follows otherwise. */
function arbitraryPage(page: Page): fc.Arbitrary<Page> {
  const other = fc.record({ showsThrough: fc.boolean(), follows: fc.boolean() });
  return fc.oneof(
    fc.constant(page),
    other.map((own) => ({ ...page, ...own })),
  );
}

/** A device as it is or with settings of its own for buttons and wheel. */
function arbitraryTuning(device: Device): fc.Arbitrary<Device> {
  const wheel = fc.record({
    lines: fc.integer({ min: 1, max: 20 }),
    free: fc.boolean(),
    reversed: fc.boolean(),
    coastMs: fc.integer({ min: 0, max: 5000 }),
    smooth: fc.boolean(),
  });
  const tuned = fc
    .record({ swapped: fc.boolean(), wheel })
    .map((own) => ({ ...device, settings: { ...device.settings, ...own } }));
  return fc.oneof({ weight: 2, arbitrary: fc.constant(device) }, { weight: 1, arbitrary: tuned });
}

/** One program reads places, and one of its commands reads characters and has another shortcut on a layout. */
function readsOtherwise(program: Program): Program {
  if (program.id !== 'brindle') return program;
  const [first, ...others] = program.commands;
  if (!first) return program;
  const odd: Command = { ...first, keysBy: 'character', onLayout: { foreign: 'Ctrl+K, Ctrl+[' } };
  return { ...program, keysBy: 'place', commands: [odd, ...others] };
}

/** Part of the small rig and the demo's programs with random bindings and macros. */
export const arbitrarySetup: fc.Arbitrary<Setup> = arbitraryRig.chain((rig) =>
  fc
    .tuple(arbitraryMacros, fc.array(arbitrarySlotBinding(rig), { maxLength: 120, size: 'max' }))
    .map(([macros, rows]) => {
      const profiles = Object.values(rig.profiles).map((profile) => ({
        ...profile,
        bindings: { ...profile.bindings },
      }));
      const setup = {
        ...rig,
        macros,
        programs: rig.programs.map(readsOtherwise),
        profiles: Object.fromEntries(profiles.map((each) => [each.id, each])),
      };
      for (const { slot, binding } of rows) {
        const bindings = setup.profiles[slot.profile]?.bindings;
        if (bindings) bindings[slotKey(slot.layer, slot.device, slot.control, slot.trigger)] = binding;
      }
      return setup;
    }),
);
