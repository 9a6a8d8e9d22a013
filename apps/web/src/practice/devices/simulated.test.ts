import { fromCatalogue } from '@nimble-lever/core/devices';
import { clearSlot, readSlot, writeSlot } from './deviceMemory.ts';
import { chargeSet, plugSet, simulatedDevice, simulatedReducer } from './simulatedSlice.ts';

const mouse = fromCatalogue('pocket-mouse', 'mouse');
const pad = fromCatalogue('twelve-pad', 'pad');
if (!mouse || !pad) throw new Error('no catalogue');
const first = simulatedReducer(undefined, { type: 'first' });

test.each([
  [82, false],
  [16, false],
  [15, true],
  [0, true],
])('a battery at %s %% is low: %s', (percent, low) => {
  const state = simulatedReducer(first, chargeSet({ device: 'mouse', percent }));
  expect(simulatedDevice(state, mouse)).toEqual({ plugged: true, charge: percent, low });
});

test('a device on a cable has no battery; unplugged, it is known and gone, and comes back', () => {
  expect(simulatedDevice(first, pad)).toEqual({ plugged: true, charge: null, low: false });
  const gone = simulatedReducer(first, plugSet({ device: 'pad', plugged: false }));
  expect(simulatedDevice(gone, pad).plugged).toBe(false);
  expect(
    simulatedDevice(simulatedReducer(gone, plugSet({ device: 'pad', plugged: true })), pad).plugged,
  ).toBe(true);
  expect(simulatedReducer(first, chargeSet({ device: 'mouse', percent: 140 })).charges.mouse).toBe(100);
});

describe('the memory of the simulated devices', () => {
  const kept = new Map<string, string>();
  beforeAll(() => {
    const localStorage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
      removeItem: (key: string) => kept.delete(key),
    };
    Object.defineProperty(globalThis, 'localStorage', { value: localStorage, configurable: true });
  });

  test('keeps bytes by device and slot, and forgets them when emptied', () => {
    const bytes = Uint8Array.of(0x4e, 0x00, 0xff);
    expect(writeSlot('pad', 1, bytes)).toBe(true);
    expect(readSlot('pad', 1)).toEqual(bytes);
    expect(readSlot('pad', 0)).toEqual(new Uint8Array());
    clearSlot('pad', 1);
    expect(readSlot('pad', 1)).toEqual(new Uint8Array());
  });

  test('a browser that keeps nothing says so, and what is no memory reads as none', () => {
    kept.set('nimble-lever.device-memory/pad/0', 'not bytes at all');
    expect(readSlot('pad', 0)).toEqual(new Uint8Array());
    const refuse = () => {
      throw new Error('full');
    };
    const refusing = { getItem: refuse, setItem: refuse, removeItem: refuse };
    Object.defineProperty(globalThis, 'localStorage', { value: refusing, configurable: true });
    expect(writeSlot('pad', 0, Uint8Array.of(1))).toBe(false);
    expect(readSlot('pad', 0)).toEqual(new Uint8Array());
    clearSlot('pad', 0);
  });
});
