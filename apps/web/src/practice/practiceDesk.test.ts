import type { Stroke } from '@nimble-lever/core/engine';
import { acting, demoSetup, type Setup, slotKey } from '@nimble-lever/core/setup';
import { feed } from '../app/engine/feed.ts';
import { setupLoaded } from '../app/setup/setupSlice.ts';
import { type AppStore, createStore } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';
import { openPracticeDesk, raiseWindow } from './frontWindow.ts';
import { enterPracticeDesk, practiceDesk } from './practiceDesk.ts';

/** What a browser's event was made with; Node.js has no classes for these. */
class Made extends Event {
  constructor(
    type: string,
    readonly init: Record<string, unknown>,
  ) {
    super(type, init);
  }
}
const heard: string[] = [];
const windows = new Map<string, EventTarget>();

beforeAll(() => {
  Object.assign(globalThis, {
    KeyboardEvent: Made,
    PointerEvent: Made,
    WheelEvent: Made,
    InputEvent: Made,
    CSS: { escape: (text: string) => text },
    document: {
      querySelector: (selector: string) => {
        const program = /data-program="([^"]*)"/.exec(selector)?.[1] ?? '';
        return windows.get(program) ?? null;
      },
    },
  });
});
beforeEach(() => {
  heard.length = 0;
  windows.clear();
  for (const program of ['larkframe', 'brindle']) {
    const window = new EventTarget();
    const on = ({ type, init = {} }: { type: string; init?: Record<string, unknown> }) => {
      const held = ['ctrlKey', 'shiftKey', 'altKey', 'metaKey'].filter((name) => init[name]).join('+');
      const what = init.code ?? init.data ?? init.deltaY ?? '';
      heard.push(`${program}: ${type} ${what}${held ? ` with ${held}` : ''}`);
    };
    for (const type of ['keydown', 'keyup', 'wheel', 'beforeinput']) {
      window.addEventListener(type, on as unknown as (event: Event) => void);
    }
    windows.set(program, window);
  }
});

const stroke = (body: object): Stroke => ({ t: 0, cause: 1, device: 'pad', ...body }) as Stroke;
const key = (kind: 'key-down' | 'key-up', code: string, more: object = {}) => stroke({ kind, code, ...more });

function deskOf(store: AppStore) {
  const desk = practiceDesk(store.dispatch, store.getState);
  return (...strokes: Stroke[]) => {
    for (const each of strokes) desk.carryOut(each);
  };
}

test('keys, wheel and text reach the program in front, or the one they name, with the modifiers held for it', () => {
  const store = createStore();
  const carry = deskOf(store);
  carry(
    key('key-down', 'ControlLeft'),
    key('key-down', 'KeyZ'),
    key('key-down', 'KeyA', { program: 'brindle' }),
    key('key-up', 'KeyZ'),
    key('key-up', 'ControlLeft'),
    stroke({ kind: 'wheel', ticks: 1, axis: 'vertical' }),
    stroke({ kind: 'text', text: 'wing' }),
  );
  expect(heard).toEqual([
    'larkframe: keydown ControlLeft with ctrlKey',
    'larkframe: keydown KeyZ with ctrlKey',
    'brindle: keydown KeyA',
    'larkframe: keyup KeyZ with ctrlKey',
    'larkframe: keyup ControlLeft',
    expect.stringMatching(/^larkframe: wheel -\d+$/),
    'larkframe: beforeinput wing',
  ]);
});

test('volume keys go to the desk; a program that is not open hears nothing', () => {
  const store = createStore();
  deskOf(store)(
    key('key-down', 'AudioVolumeUp'),
    key('key-up', 'AudioVolumeUp'),
    key('key-down', 'KeyA', { program: 'tallow' }),
  );
  expect(selectDesk(store.getState()).volume).toBe(42);
  expect(heard).toEqual([]);
});

test('keys of the system move windows, whichever program is in front, and no program hears them', () => {
  const store = opened(demoSetup());
  const send = deskOf(store);
  const chord = (modifier: string, code: string) =>
    send(key('key-down', modifier), key('key-down', code), key('key-up', code), key('key-up', modifier));
  chord('MetaLeft', 'ArrowUp');
  expect(selectDesk(store.getState())).toMatchObject({
    active: 'larkframe',
    places: { larkframe: 'maximised' },
  });
  chord('AltLeft', 'Tab');
  expect(selectDesk(store.getState()).active).toBe('brindle');
  expect(store.getState().engine.engine.profile).toBe('brindle');
  chord('MetaLeft', 'KeyD');
  expect(selectDesk(store.getState()).active).toBeNull();
  expect(store.getState().engine.engine.profile).toBe('everywhere');
  chord('MetaLeft', 'KeyD');
  expect(selectDesk(store.getState()).active).toBe('brindle');
  expect(heard.filter((each) => /keydown (ArrowUp|Tab|KeyD)/.test(each))).toEqual([]);
  // Sent to a program, it is that program's.
  send(key('key-down', 'F11', { program: 'larkframe' }));
  expect(heard.at(-1)).toBe('larkframe: keydown F11');
});

test('a program that is not open comes to the front only where it may be started', () => {
  const store = opened(demoSetup());
  const send = deskOf(store);
  send(stroke({ kind: 'focus', program: 'tallow', launch: false }));
  expect(selectDesk(store.getState()).active).toBe('larkframe');
  send(stroke({ kind: 'focus', program: 'brindle', launch: false }));
  expect(selectDesk(store.getState()).active).toBe('brindle');
  send(stroke({ kind: 'focus', program: 'tallow', launch: true }));
  expect(selectDesk(store.getState()).active).toBe('tallow');
});

test('what goes to another computer is listed there and does nothing here', () => {
  const store = createStore();
  deskOf(store)(
    key('key-down', 'KeyA', { computer: 'Loft laptop' }),
    key('key-up', 'KeyA', { computer: 'Loft laptop' }),
  );
  expect(heard).toEqual([]);
  expect(selectDesk(store.getState()).elsewhere['Loft laptop']).toEqual(['A']);
});

/** The demo with a key that opens Brindle when it is held, and holds Shift when it is pressed in Brindle. */
function withOpener(): Setup {
  const setup = demoSetup();
  const bind = (profile: string, trigger: 'press' | 'hold', action: Parameters<typeof acting>[0]) => {
    const bindings = setup.profiles[profile]?.bindings ?? {};
    const behaviour = acting(action, trigger === 'hold' ? 'tap' : 'follow');
    bindings[slotKey('base', 'twelve-pad', 'key-5', trigger)] = { behaviour, face: null, note: null };
  };
  bind('everywhere', 'hold', { kind: 'program', program: 'brindle', launch: true });
  bind('everywhere', 'press', { kind: 'shortcut', shortcut: 'Shift' });
  return setup;
}

const at = { device: 'twelve-pad', control: 'key-5' };
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

function opened(setup: Setup) {
  const store = createStore();
  store.dispatch(openPracticeDesk(store));
  store.dispatch(
    setupLoaded({
      id: 'demo',
      revision: 0,
      setup,
      history: { entries: [], more: false },
      kept: [],
      asItWas: null,
      binnedAt: null,
    }),
  );
  return store;
}

test('a hold that opens another program leaves desk and engine with the same program in front', async () => {
  const store = opened(withOpener());
  if (!store.getState().setup.setup) throw new Error('The set-up was not taken.');
  const leave = store.dispatch(enterPracticeDesk());
  expect(store.getState().engine.engine.profile).toBe('larkframe');
  store.dispatch(feed({ kind: 'down', ...at }));
  while (selectDesk(store.getState()).active === 'larkframe') await pause(10);
  store.dispatch(feed({ kind: 'up', ...at }));
  expect(selectDesk(store.getState()).active).toBe('brindle');
  expect(store.getState().engine.engine).toMatchObject({ profile: 'brindle', frontProgram: 'brindle' });
  expect(store.getState().engine.frontDelay).toBeLessThan(1000);
  leave();
  expect(store.getState().engine.engine.held).toEqual({});
});

test('a window that comes to the front by hand is told to the engine; one that is not there is not', () => {
  const store = opened(demoSetup());
  store.dispatch(raiseWindow('hushbox'));
  expect(store.getState().engine.engine.profile).toBe('hushbox');
  store.dispatch(raiseWindow('nowhere'));
  expect(selectDesk(store.getState()).active).toBe('hushbox');
  store.dispatch(raiseWindow(null));
  expect(store.getState().engine.engine.profile).toBe('everywhere');
});
