import fc from 'fast-check';
import { isPressed, MOST_ZOOM, PICTURE_FITS, type Trigger, wayOf } from '../devices/index.ts';
import { canonical, KEY_TABLE, keyByCode, type Shortcut, type ShortcutKey } from '../keys/index.ts';
import {
  type Action,
  type Behaviour,
  type Binding,
  FACE_COLOURS,
  type Guard,
  PAGE_CHANGES,
  PRESS_STYLES,
  type Setup,
  type Slot,
} from '../setup/index.ts';
import { placesOf } from './smallRig.ts';

const arbitraryKey: fc.Arbitrary<ShortcutKey> = fc.oneof(
  fc.constantFrom(...KEY_TABLE.map(({ code }) => keyByCode(code))),
  fc.constantFrom(
    ...KEY_TABLE.filter(({ kind }) => kind === 'writing').map(({ code }) => ({
      kind: 'place' as const,
      code,
    })),
  ),
  fc.constantFrom(...'?+{~ßüéçñЯזςµİı§').map((character) => ({ kind: 'character' as const, character })),
);

export const arbitraryShortcut: fc.Arbitrary<Shortcut> = fc
  .record({
    ctrl: fc.boolean(),
    shift: fc.boolean(),
    alt: fc.boolean(),
    altGr: fc.boolean(),
    meta: fc.boolean(),
    key: fc.option(arbitraryKey),
  })
  .map(canonical)
  .filter(({ key, ...modifiers }) => key !== null || Object.values(modifiers).some(Boolean));

/** Few, so that they meet on the same keys. */
export const FEW_SHORTCUTS = [
  'Ctrl+Z',
  'Shift',
  'Ctrl+Shift+Z',
  'A',
  'Ctrl+A',
  'Alt',
  'ArrowRight',
  'Shift+A',
  'Y',
  'Ctrl+[',
  '?',
  '´',
  'Ctrl+{KeyZ}',
  '漢',
] as const;
const shortcut = fc.constantFrom<string>(...FEW_SHORTCUTS);

const OSC = { protocol: 'osc', address: '/tallow/lift', low: 0, high: 10 } as const;
const MIDI = { protocol: 'midi', channel: 2, controller: 7, low: 127, high: 0 } as const;
const message = fc.constantFrom<Action>(
  { kind: 'message', message: OSC },
  { kind: 'message', message: MIDI },
);

/** How often a kind of action comes, and what it may be; null where the set-up has nothing that it could be about. */
interface Share {
  readonly weight: number;
  readonly actions: fc.Arbitrary<Action> | null;
}

const among = (weight: number, ...actions: readonly Action[]): Share => ({
  weight,
  actions: actions.length > 0 ? fc.constantFrom(...actions) : null,
});

/**
 * Actions of every kind that a profile of a set-up may bind. What decides what everything else does comes often enough to
 * be met.
 */
export function arbitraryAction(setup: Setup, commands: readonly string[]): fc.Arbitrary<Action> {
  const kinds = {
    shortcut: { weight: 12, actions: shortcut.map((text): Action => ({ kind: 'shortcut', shortcut: text })) },
    command: among(4, ...commands.map((command): Action => ({ kind: 'command', command }))),
    intent: among(
      2,
      ...['undo', 'zoom-in', 'next-item'].map((intent): Action => ({ kind: 'intent', intent })),
    ),
    sequence: {
      weight: 4,
      actions: fc
        .array(shortcut, { minLength: 1, maxLength: 3 })
        .map((shortcuts): Action => ({ kind: 'sequence', shortcuts })),
    },
    text: among(1, { kind: 'text', text: 'umbrella' }),
    button: among(1, { kind: 'button', button: 0 }),
    click: among(
      1,
      { kind: 'click', button: 2, count: 2, at: { from: 'window', corner: 'top-left', x: 10, y: 20 } },
      { kind: 'click', button: 0, count: 2, at: null, keys: 'Alt' },
    ),
    wheel: among(
      2,
      { kind: 'wheel', ticks: -2, axis: 'vertical' },
      { kind: 'wheel', ticks: 1, axis: 'horizontal' },
      { kind: 'wheel', ticks: 2, axis: 'vertical', keys: 'Ctrl+[' },
    ),
    drag: among(
      1,
      { kind: 'drag', keys: 'Space', button: 0 },
      { kind: 'drag', keys: null, button: 2 },
      { kind: 'drag', keys: 'Ctrl+漢', button: 0 },
    ),
    macro: among(8, ...setup.macros.map(({ id }): Action => ({ kind: 'macro', macro: id }))),
    layer: among(
      2,
      ...setup.layers.slice(1).flatMap(({ id }): Action[] => [
        { kind: 'layer', layer: id, mode: 'on' },
        { kind: 'layer', layer: id, mode: 'once' },
      ]),
    ),
    page: among(4, ...pageActions(setup)),
    profile: among(
      2,
      { kind: 'profile', change: 'next', profiles: [] },
      { kind: 'profile', change: 'previous', profiles: ['brindle', 'larkframe'] },
      { kind: 'profile', change: 'pin', profiles: ['hushbox'] },
      { kind: 'profile', change: 'automatic', profiles: [] },
    ),
    speed: among(
      1,
      { kind: 'speed', device: null, change: 'next', step: 0 },
      { kind: 'speed', device: 'mouse', change: 'while-held', step: 2 },
    ),
    'wheel-mode': among(
      1,
      { kind: 'wheel-mode', device: 'mouse', change: 'toggle', mode: 'free' },
      { kind: 'wheel-mode', device: 'mouse', change: 'while-held', mode: 'free' },
    ),
    computer: among(1, { kind: 'computer', device: 'mouse', change: 'next', computer: 0 }),
    program: among(1, { kind: 'program', program: 'brindle', launch: true }),
    radial: among(6, ...setup.radialMenus.map(({ id }): Action => ({ kind: 'radial', menu: id }))),
    show: among(1, { kind: 'show', device: null }),
    message: { weight: 2, actions: message },
  } satisfies Record<Action['kind'], Share>;
  return fc.oneof(
    ...Object.values<Share>(kinds).flatMap(({ weight, actions }) =>
      actions ? [{ weight, arbitrary: actions }] : [],
    ),
  );
}

function pageActions(setup: Setup): readonly Action[] {
  const own = setup.pages.map(
    ({ id, kind }): Action => ({
      kind: 'page',
      change: kind === 'folder' ? 'open' : 'choose',
      page: id,
      device: null,
    }),
  );
  const devices = [null, ...setup.devices.slice(0, 1).map(({ id }) => id)];
  const changes = PAGE_CHANGES.filter((change) => change !== 'open').flatMap((change) =>
    devices.map((device): Action => ({ kind: 'page', change, page: null, device })),
  );
  return [...own, ...changes];
}

function mostlyNull<Value>(value: fc.Arbitrary<Value>): fc.Arbitrary<Value | null> {
  return fc.oneof({ weight: 6, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: value });
}

function arbitraryBehaviour(
  setup: Setup,
  trigger: Trigger,
  commands: readonly string[],
): fc.Arbitrary<Behaviour> {
  const pressed = isPressed(trigger);
  const action = wayOf(trigger) === 'slide' ? message : arbitraryAction(setup, commands);
  const repeat = fc.option(fc.record({ delayMs: fc.constantFrom(20, 100), everyMs: fc.constantFrom(7, 50) }));
  const guard = mostlyNull(fc.constantFrom<Guard>('longer', 'second'));
  const program = fc.constantFrom('brindle', 'hushbox');
  const target = mostlyNull(fc.record({ program, focus: fc.boolean() }));
  const sends = fc.option(action);
  const acting: fc.Arbitrary<Behaviour> = fc.record({
    kind: fc.constant('action' as const),
    action,
    style: pressed ? fc.constantFrom(...PRESS_STYLES) : fc.constant('tap' as const),
    repeat,
    guard: pressed ? guard : fc.constant(null),
    target,
  });
  const off: fc.Arbitrary<Behaviour> = fc.record({
    kind: fc.constant('off' as const),
    heardBy: fc.subarray(['hushbox', 'brindle']),
    sends,
  });
  return fc.oneof(
    { weight: 8, arbitrary: acting },
    { weight: 1, arbitrary: fc.constant<Behaviour>({ kind: 'native' }) },
    { weight: 1, arbitrary: off },
  );
}

const part = fc.double({ min: 0, max: 1, noNaN: true }).map((value) => Math.round(value * 100) / 100);
/** Pictures that are nowhere kept: a face may name one. */
const arbitraryFacePicture = fc.record({
  id: fc.constantFrom('0'.repeat(64), 'a'.repeat(64)),
  fit: fc.constantFrom(...PICTURE_FITS),
  zoom: fc.integer({ min: 1, max: MOST_ZOOM }),
  x: part,
  y: part,
});

export const arbitraryFace = fc
  .record({
    label: fc.option(fc.constantFrom('Undo', 'Frame on', 'ę漢')),
    icon: fc.option(fc.constantFrom('undo', 'play')),
    colour: fc.option(fc.constantFrom(...FACE_COLOURS)),
    picture: fc.option(arbitraryFacePicture, { freq: 2 }),
  })
  // With nothing on it there is no face.
  .filter((face) => Object.values(face).some((part) => part !== null));

/** A slot of a set-up with something to put there. */
export function arbitrarySlotBinding(setup: Setup): fc.Arbitrary<{ slot: Slot; binding: Binding }> {
  const layerOf = (device: string) =>
    fc.oneof(
      { weight: 3, arbitrary: fc.constant('base') },
      {
        weight: 4,
        arbitrary: fc.constantFrom(
          ...[...setup.layers, ...setup.pages.filter((page) => page.device === device)].map(({ id }) => id),
        ),
      },
    );
  return fc
    .tuple(fc.constantFrom(...Object.keys(setup.profiles)), fc.constantFrom(...placesOf(setup)))
    .chain(([profile, place]) => fc.tuple(fc.constant(profile), layerOf(place.device.id), fc.constant(place)))
    .chain(([profile, layerId, { device, control, trigger }]) => {
      const slot: Slot = { profile, layer: layerId, device: device.id, control: control.id, trigger };
      const program = setup.profiles[profile]?.program;
      const own = setup.programs.find(({ id }) => id === program)?.commands ?? [];
      const commands = [...own, ...setup.commonCommands].map(({ id }) => id);
      return fc
        .record({
          behaviour: arbitraryBehaviour(setup, trigger, commands),
          face: fc.option(arbitraryFace),
          note: fc.option(fc.constantFrom('why?', 'as in Hushbox')),
        })
        .map((binding) => ({ slot, binding }));
    });
}
