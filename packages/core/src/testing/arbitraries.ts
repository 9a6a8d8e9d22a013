import fc from 'fast-check';
import { type Control, type Device, isPressed, type Trigger, triggersOf } from '../devices/index.ts';
import type { EngineEvent } from '../engine/index.ts';
import { KEY_TABLE, type Shortcut } from '../keys/index.ts';
import {
  BASE_LAYER,
  type Behaviour,
  type Binding,
  demoSetup,
  type Edit,
  FACE_COLOURS,
  PRESS_STYLES,
  type Setup,
  type SingleEdit,
  type Slot,
  slotKey,
} from '../setup/index.ts';

/** Every device, control and trigger of a set-up. */
export function placesOf(setup: Setup): { device: Device; control: Control; trigger: Trigger }[] {
  return setup.devices.flatMap((device) =>
    device.controls.flatMap((control) =>
      triggersOf(control).map((trigger) => ({ device, control, trigger })),
    ),
  );
}

export const arbitraryShortcut: fc.Arbitrary<Shortcut> = fc
  .record({
    ctrl: fc.boolean(),
    shift: fc.boolean(),
    alt: fc.boolean(),
    meta: fc.boolean(),
    code: fc.option(fc.constantFrom(...KEY_TABLE.map(({ code }) => code))),
  })
  .filter(({ ctrl, shift, alt, meta, code }) => code !== null || ctrl || shift || alt || meta);

const SHORTCUTS = ['Ctrl+Z', 'Shift', 'Ctrl+Shift+Z', 'A', 'Ctrl+A', 'Alt', 'ArrowRight', 'Shift+A'] as const;

function arbitraryBehaviour(trigger: Trigger, commands: readonly string[]): fc.Arbitrary<Behaviour> {
  const style = isPressed(trigger) ? fc.constantFrom(...PRESS_STYLES) : fc.constant('tap' as const);
  const repeat = fc.option(fc.record({ delayMs: fc.constantFrom(20, 100), everyMs: fc.constantFrom(7, 50) }));
  const action = fc.oneof(
    fc.record({ kind: fc.constant('shortcut' as const), shortcut: fc.constantFrom(...SHORTCUTS) }),
    fc.record({ kind: fc.constant('command' as const), command: fc.constantFrom(...commands) }),
    fc.record({ kind: fc.constant('wheel' as const), ticks: fc.constantFrom(-2, -1, 1, 3) }),
  );
  return fc.oneof(
    { weight: 6, arbitrary: fc.record({ kind: fc.constant('action' as const), action, style, repeat }) },
    { weight: 1, arbitrary: fc.constant<Behaviour>({ kind: 'native' }) },
    { weight: 1, arbitrary: fc.constant<Behaviour>({ kind: 'off' }) },
  );
}

const arbitraryFace = fc.record({
  label: fc.option(fc.constantFrom('Undo', 'Frame on', 'ę漢')),
  icon: fc.option(fc.constantFrom('undo', 'play')),
  colour: fc.option(fc.constantFrom(...FACE_COLOURS)),
});

function arbitraryBinding(setup: Setup, slot: Slot): fc.Arbitrary<Binding> {
  const program = setup.profiles[slot.profile]?.program;
  const own = setup.programs.find(({ id }) => id === program)?.commands ?? [];
  const commands = [...own, ...setup.commonCommands].map(({ id }) => id);
  return fc.record({
    behaviour: arbitraryBehaviour(slot.trigger, commands),
    face: fc.option(arbitraryFace),
    note: fc.option(fc.constantFrom('why?', 'as in Hushbox')),
  });
}

/** A slot of a set-up with something to put there. */
export function arbitrarySlotBinding(setup: Setup): fc.Arbitrary<{ slot: Slot; binding: Binding }> {
  return fc
    .tuple(fc.constantFrom(...Object.keys(setup.profiles)), fc.constantFrom(...placesOf(setup)))
    .chain(([profile, { device, control, trigger }]) => {
      const slot: Slot = { profile, layer: BASE_LAYER, device: device.id, control: control.id, trigger };
      return arbitraryBinding(setup, slot).map((binding) => ({ slot, binding }));
    });
}

/** The demo's rig and programs with random bindings. */
export const arbitrarySetup: fc.Arbitrary<Setup> = fc
  .array(arbitrarySlotBinding(demoSetup()), { maxLength: 40 })
  .map((rows) => {
    const setup = demoSetup();
    for (const profile of Object.values(setup.profiles)) profile.bindings = {};
    for (const { slot, binding } of rows) {
      const bindings = setup.profiles[slot.profile]?.bindings;
      if (bindings) bindings[slotKey(slot.layer, slot.device, slot.control, slot.trigger)] = binding;
    }
    return setup;
  });

function arbitrarySingleEdit(setup: Setup): fc.Arbitrary<SingleEdit> {
  const program = fc.constantFrom(...setup.programs.map(({ id }) => id), 'gone');
  const at = fc.integer({ min: 0, max: 4 });
  const slotBinding = arbitrarySlotBinding(setup);
  return fc.oneof(
    slotBinding.map(({ slot, binding }): SingleEdit => ({ kind: 'set-binding', slot, binding })),
    slotBinding.map(({ slot }): SingleEdit => ({ kind: 'set-binding', slot, binding: null })),
    fc
      .tuple(slotBinding, fc.option(arbitraryFace))
      .map(([{ slot }, face]): SingleEdit => ({ kind: 'set-face', slot, face })),
    slotBinding.map(({ slot, binding }): SingleEdit => ({ kind: 'set-note', slot, note: binding.note })),
    fc.tuple(fc.constantFrom('quillboard', 'brindle'), at).map(
      ([id, position]): SingleEdit => ({
        kind: 'add-program',
        program: { id, name: id === 'quillboard' ? 'Quillboard' : 'Other', rules: [], commands: [] },
        profiles: [{ id, name: null, program: id, rules: [], basedOn: null, bindings: {} }],
        at: position,
      }),
    ),
    fc
      .tuple(program, fc.constantFrom('Larkframe', 'Larkframe two', 'Sound'))
      .map(([id, name]): SingleEdit => ({ kind: 'rename-program', program: id, name })),
    program.map((id): SingleEdit => ({ kind: 'remove-program', program: id })),
    fc.tuple(program, at).map(([id, to]): SingleEdit => ({ kind: 'move-program', program: id, to })),
  );
}

/** Random edits for a set-up: most apply, some are refused. */
export function arbitraryEdit(setup: Setup): fc.Arbitrary<Edit> {
  const single = arbitrarySingleEdit(setup);
  return fc.oneof(
    { weight: 5, arbitrary: single },
    {
      weight: 1,
      arbitrary: fc
        .array(single, { minLength: 1, maxLength: 4 })
        .map((edits): Edit => ({ kind: 'together', edits })),
    },
  );
}

const WINDOWS = ['larkframe', 'brindle', 'hushbox', 'unheard-of'] as const;

type Untimed = EngineEvent extends infer Any ? (Any extends EngineEvent ? Omit<Any, 't'> : never) : never;

/** Random event streams for a set-up: presses, turns, front changes, pins, detach and reset; time goes on. */
export function arbitraryEvents(setup: Setup, maxLength = 60): fc.Arbitrary<EngineEvent[]> {
  const place = fc.constantFrom(...placesOf(setup)).map(({ device, control }) => ({
    device: device.id,
    control: control.id,
  }));
  const device = fc.constantFrom(...setup.devices.map(({ id }) => id));
  const untimed: fc.Arbitrary<Untimed> = fc.oneof(
    { weight: 5, arbitrary: place.map((at): Untimed => ({ kind: 'down', ...at })) },
    { weight: 5, arbitrary: place.map((at): Untimed => ({ kind: 'up', ...at })) },
    {
      weight: 4,
      arbitrary: fc
        .tuple(
          place,
          fc.integer({ min: -90, max: 90 }),
          fc.constantFrom('degrees' as const, 'detents' as const),
        )
        .map(
          ([at, amount, unit]): Untimed => ({
            kind: 'turn',
            ...at,
            unit,
            amount: unit === 'detents' ? amount % 5 : amount,
          }),
        ),
    },
    {
      weight: 3,
      arbitrary: fc.option(fc.constantFrom(...WINDOWS)).map(
        (executable): Untimed => ({
          kind: 'front',
          window: executable === null ? null : { executable, class: '', title: '' },
        }),
      ),
    },
    {
      weight: 1,
      arbitrary: fc
        .option(fc.constantFrom('brindle', 'gone'))
        .map((profile): Untimed => ({ kind: 'pin', profile })),
    },
    { weight: 1, arbitrary: device.map((id): Untimed => ({ kind: 'detach', device: id })) },
    { weight: 1, arbitrary: fc.constant<Untimed>({ kind: 'edited' }) },
    { weight: 1, arbitrary: fc.constant<Untimed>({ kind: 'time' }) },
    { weight: 1, arbitrary: fc.constant<Untimed>({ kind: 'reset' }) },
  );
  return fc.array(fc.tuple(untimed, fc.integer({ min: -20, max: 400 })), { maxLength }).map((rows) => {
    let t = 0;
    return rows.map(([event, pause]) => {
      t = Math.max(0, t + pause);
      return { ...event, t } as EngineEvent;
    });
  });
}
