import fc from 'fast-check';
import type { Control, Device } from '../devices/index.ts';
import type { DistributiveOmit } from '../distributiveOmit.ts';
import type { EngineEvent } from '../engine/index.ts';
import type { Edit, Setup } from '../setup/index.ts';
import { arbitraryEdit } from './arbitraryEdit.ts';

/** What happens in a run: events, and edits that arrive between them. */
export type Happens = EngineEvent | { readonly kind: 'edit'; readonly t: number; readonly edit: Edit };

type Untimed = DistributiveOmit<Happens, 't'>;

const WINDOWS = [
  ['larkframe', 'heron_shot_04'],
  ['larkframe', 'Export the film'],
  ['brindle', 'heron_wing_left'],
  ['hushbox', ''],
  ['unheard-of', ''],
] as const;

function controlsWhere(setup: Setup, which: (control: Control) => boolean) {
  return setup.devices.flatMap((device: Device) =>
    device.controls.filter(which).map((control) => ({ device: device.id, control: control.id })),
  );
}

function arbitraryUntimed(setup: Setup): fc.Arbitrary<Untimed> {
  const anywhere = fc.constantFrom(...controlsWhere(setup, () => true));
  const pressed = fc.constantFrom(...controlsWhere(setup, ({ canPress }) => canPress));
  const turned = fc.constantFrom(...controlsWhere(setup, ({ rotor }) => rotor !== null));
  const sliding = controlsWhere(setup, ({ spring, slider }) => spring !== null || slider !== null);
  const moved = sliding.length > 0 ? fc.constantFrom(...sliding) : anywhere;
  const device = fc.constantFrom(...setup.devices.map(({ id }) => id));
  const elsewhere = setup.devices.flatMap(({ settings }) => settings.computers.slice(1));
  // One computer in three is another, where the rig has such; now and then one nobody talks to.
  const computer = fc.option(fc.constantFrom(...elsewhere, ...elsewhere, 'nowhere'), { freq: 2 });
  const pixels = fc.constantFrom(-100, -24, -20, -5, 0, 3, 12, 24, 60);
  return fc.oneof(
    { weight: 10, arbitrary: pressed.map((at): Untimed => ({ kind: 'down', ...at })) },
    { weight: 10, arbitrary: pressed.map((at): Untimed => ({ kind: 'up', ...at })) },
    { weight: 1, arbitrary: anywhere.map((at): Untimed => ({ kind: 'down', ...at })) },
    {
      weight: 4,
      arbitrary: fc
        .tuple(
          turned,
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
      weight: 4,
      arbitrary: fc
        .tuple(moved, fc.constantFrom(-7, -2, -1, 0, 0, 0.1, 0.3, 0.6, 0.9, 1, 3, 9), fc.nat(2))
        .map(
          ([at, value, way]): Untimed => ({
            kind: 'position',
            ...at,
            value,
            // One in three across, also of what does not slide so.
            ...(way === 0 && { axis: 'across' as const }),
          }),
        ),
    },
    { weight: 4, arbitrary: fc.tuple(pixels, pixels).map(([dx, dy]): Untimed => ({ kind: 'move', dx, dy })) },
    {
      weight: 1,
      arbitrary: fc
        .constantFrom('Take the  frame', 'AGÁIN', 'nothing of the kind')
        .map((text): Untimed => ({ kind: 'phrase', text })),
    },
    {
      weight: 4,
      arbitrary: fc.tuple(fc.option(fc.constantFrom(...WINDOWS)), computer).map(
        ([window, name]): Untimed => ({
          kind: 'front',
          window: window === null ? null : { executable: window[0], class: '', title: window[1] },
          ...(name === null ? {} : { computer: name }),
        }),
      ),
    },
    {
      weight: 1,
      arbitrary: fc
        .option(fc.constantFrom('brindle', 'gone'))
        .map((profile): Untimed => ({ kind: 'pin', profile })),
    },
    {
      weight: 6,
      arbitrary: fc
        .tuple(
          fc.constantFrom('unheard-of', ...setup.macros.map(({ id }) => id)),
          fc.option(fc.constantFrom<string[]>(['‹left›'], ['left', 'wing'], []), { freq: 4 }),
        )
        .map(([macro, texts]): Untimed => ({ kind: 'answer', macro, texts })),
    },
    { weight: 1, arbitrary: device.map((id): Untimed => ({ kind: 'detach', device: id })) },
    { weight: 1, arbitrary: fc.constant<Untimed>({ kind: 'time' }) },
    { weight: 1, arbitrary: fc.constant<Untimed>({ kind: 'reset' }) },
  );
}

function timed(untimed: fc.Arbitrary<Untimed>, maxLength: number): fc.Arbitrary<Happens[]> {
  const pause = fc.oneof(fc.constantFrom(0, 0, 1, 10, 20, 250, 300, 600), fc.integer({ min: -20, max: 400 }));
  return fc.array(fc.tuple(untimed, pause), { maxLength, size: 'max' }).map((rows) => {
    let t = 0;
    return rows.map(([event, after]) => {
      t = Math.max(0, t + after);
      return { ...event, t } as Happens;
    });
  });
}

/** Random event streams for a set-up: every trigger, front changes, pins, detach and reset; time goes on. */
export function arbitraryEvents(setup: Setup, maxLength = 60): fc.Arbitrary<EngineEvent[]> {
  return timed(arbitraryUntimed(setup), maxLength) as fc.Arbitrary<EngineEvent[]>;
}

/** The same with edits that arrive in between, also while something is pressed. */
export function arbitraryHappenings(setup: Setup, maxLength = 60): fc.Arbitrary<Happens[]> {
  const edit = arbitraryEdit(setup).map((each): Untimed => ({ kind: 'edit', edit: each }));
  return timed(
    fc.oneof({ weight: 8, arbitrary: arbitraryUntimed(setup) }, { weight: 1, arbitrary: edit }),
    maxLength,
  );
}
