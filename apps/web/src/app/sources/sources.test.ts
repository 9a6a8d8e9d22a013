import { heardIdSchema } from '@nimble-lever/core/devices';
import { gamepadSource } from './gamepadSource.ts';
import { keySource } from './keySource.ts';
import { midiSource } from './midiSource.ts';
import { mouseSource, penSource } from './pointerSources.ts';
import type { Heard, InputSource } from './source.ts';

/** The globals of a browser that sources use, as far as they use them. */
const page = new EventTarget();
let frames: (() => void)[] = [];
beforeAll(() => {
  const raf = (callback: () => void) => frames.push(callback);
  Object.assign(globalThis, {
    window: page,
    requestAnimationFrame: raf,
    cancelAnimationFrame: () => undefined,
  });
});
const nextFrame = () => {
  const due = frames;
  frames = [];
  for (const callback of due) callback();
};

async function heardOf(
  source: InputSource,
  act: () => void | Promise<void>,
  takes: (heard: Heard) => boolean = () => true,
): Promise<string[]> {
  const heard: Heard[] = [];
  const stop = await source.listen((each) => {
    if (takes(each)) heard.push(each);
    return takes(each);
  });
  await act();
  stop();
  await act();
  for (const { id, name } of heard) {
    expect([id, heardIdSchema.safeParse(id).success, name.length > 0]).toEqual([id, true, true]);
  }
  return heard.map(({ id, change }) => {
    const how =
      change.kind === 'turn' ? change.amount : change.kind === 'value' ? change.value.toFixed(2) : '';
    return `${id} ${change.kind}${how === '' ? '' : ` ${how}`}`;
  });
}

const place = new EventTarget();
const send = (type: string, fields: object, target: EventTarget = place) =>
  target.dispatchEvent(Object.assign(new Event(type, { cancelable: true }), fields));
const surface = () => place as HTMLElement;

// W3C Pointer Events: `buttons` has a bit for each; a second button that goes down comes as a move.
test('the mouse: every button, chords too, its wheel and its tilt; a pen is not taken for it', async () => {
  const pointerType = 'mouse';
  const told = await heardOf(mouseSource(surface), () => {
    send('pointerdown', { pointerType, buttons: 1 });
    send('pointermove', { pointerType, buttons: 1 + 8 });
    send('pointermove', { pointerType, buttons: 8 });
    send('pointerup', { pointerType, buttons: 0 });
    send('pointerdown', { pointerType, buttons: 2 + 4 + 16 });
    send('pointerup', { pointerType: 'pen', buttons: 0 });
    send('pointerup', { pointerType, buttons: 0 });
  });
  expect(told).toEqual([
    'mouse/button/0 down',
    'mouse/button/3 down',
    'mouse/button/0 up',
    'mouse/button/3 up',
    'mouse/button/2 down',
    'mouse/button/1 down',
    'mouse/button/4 down',
    'mouse/button/2 up',
    'mouse/button/1 up',
    'mouse/button/4 up',
  ]);
});

test('a pen: hovering and touching, tip, switches, eraser, pressure', async () => {
  const pointerType = 'pen';
  const told = await heardOf(penSource(surface), () => {
    send('pointermove', { pointerType, buttons: 0, pressure: 0 });
    send('pointerdown', { pointerType, buttons: 1, pressure: 0.5 });
    send('pointermove', { pointerType, buttons: 3, pressure: 0.5 });
    send('pointerup', { pointerType, buttons: 0, pressure: 0 });
    send('pointerdown', { pointerType, buttons: 32, pressure: 0 });
    send('pointercancel', { pointerType, buttons: 0, pressure: 0 });
  });
  expect(told).toEqual([
    'pen/hover down',
    'pen/hover up',
    'pen/button/0 down',
    'pen/pressure value 0.50',
    'pen/button/2 down',
    'pen/hover down',
    'pen/button/0 up',
    'pen/button/2 up',
    'pen/pressure value 0.00',
    'pen/button/5 down',
    'pen/hover up',
    'pen/button/5 up',
  ]);
});

test('keys: only those that are wanted are taken, and a key that repeats is one press', async () => {
  const untouched: string[] = [];
  const key = (type: string, code: string, repeat = false) => {
    // What a script makes is not trusted; a real key is.
    const event = Object.assign(new Event(type, { cancelable: true }), { code, repeat });
    const trusted = new Proxy(event, {
      get: (target, name) => {
        if (name === 'isTrusted') return true;
        const value = Reflect.get(target, name, target);
        return typeof value === 'function' ? value.bind(target) : value;
      },
    });
    for (const listener of listeners.get(type) ?? []) listener(trusted);
    if (!event.defaultPrevented) untouched.push(code);
  };
  const listeners = new Map<string, ((event: Event) => void)[]>();
  const spy = jest.spyOn(page, 'addEventListener').mockImplementation((type, listener, options) => {
    const own = listener as (event: Event) => void;
    listeners.set(type, [...(listeners.get(type) ?? []), own]);
    (options as AddEventListenerOptions).signal?.addEventListener('abort', () => listeners.clear());
  });
  const told = await heardOf(
    keySource,
    () => {
      key('keydown', 'F13');
      key('keydown', 'F13', true);
      key('keyup', 'F13');
      key('keydown', 'KeyA');
      key('keydown', 'KeyA', true);
      key('keyup', 'KeyA');
      key('keydown', 'NoSuchKey');
    },
    ({ id }) => id !== 'key/KeyA',
  );
  spy.mockRestore();
  expect(told).toEqual(['key/F13 down', 'key/F13 up']);
  expect(untouched.slice(0, 4)).toEqual(['KeyA', 'KeyA', 'KeyA', 'NoSuchKey']);
});

test('gamepads: what changed since the last look; an axis that hardly moves stands still', async () => {
  const pad = { index: 1, buttons: [{ pressed: false }, { pressed: true }], axes: [0, 0.5] };
  Object.defineProperty(globalThis, 'navigator', {
    value: { getGamepads: () => [null, pad] },
    configurable: true,
  });
  const told = await heardOf(gamepadSource, () => {
    nextFrame();
    pad.buttons[0] = { pressed: true };
    pad.axes = [0.01, 0.5];
    nextFrame();
    pad.buttons[0] = { pressed: false };
    pad.axes = [-1, 0.5];
    nextFrame();
    frames = [];
  });
  expect(told).toEqual([
    'gamepad/1/button/1 down',
    'gamepad/1/button/0 down',
    'gamepad/1/button/0 up',
    'gamepad/1/axis/0 value 0.00',
  ]);
});

// MIDI 1.0, channel voice messages: 8n note off, 9n note on, Bn control change; a note on without velocity is off.
test.each([
  [[0x90, 60, 100], 'midi/1/note/60 down'],
  [[0x90, 60, 0], 'midi/1/note/60 up'],
  [[0x8f, 60, 64], 'midi/16/note/60 up'],
  [[0xb2, 7, 127], 'midi/3/controller/7 value 1.00'],
  [[0xe0, 0, 64], undefined],
  [[0xf8], undefined],
])('MIDI %j is %s', async (data, expected) => {
  const input: { onmidimessage: ((event: { data: Uint8Array }) => void) | null } = { onmidimessage: null };
  const access = Object.assign(new EventTarget(), { inputs: new Map([['one', input]]) });
  Object.defineProperty(globalThis, 'navigator', {
    value: { requestMIDIAccess: async () => access },
    configurable: true,
  });
  const told = await heardOf(midiSource, () => input.onmidimessage?.({ data: Uint8Array.from(data) }));
  expect(told[0]).toBe(expected);
});

test('MIDI that is not allowed says so, and what to do', async () => {
  const requestMIDIAccess = () => Promise.reject(new Error('no'));
  Object.defineProperty(globalThis, 'navigator', { value: { requestMIDIAccess }, configurable: true });
  await expect(midiSource.listen(() => true)).rejects.toThrow(/Allow it for this page/);
});
