import { demoSetup } from '@nimble-lever/core/setup';
import { usesOf } from './controlUses.ts';

const setup = demoSetup();
const uses = (device: string, control: string, profile: string, layer = 'base') => {
  const owner = setup.devices.find(({ id }) => id === device);
  const found = owner?.controls.find(({ id }) => id === control);
  if (!owner || !found) throw new Error(`${device}/${control}`);
  return usesOf(setup, owner, found, profile, layer).map(({ way, does }) => `${way}: ${does}`);
};

test.each([
  [
    'bench-dial',
    'dial',
    'larkframe',
    'base',
    ['Clockwise: Frame on', 'Anticlockwise: Frame back', 'Press: Take'],
  ],
  // In another layer what is set there shows, and the base under it.
  [
    'bench-dial',
    'dial',
    'larkframe',
    'far',
    ['Clockwise: Last frame', 'Anticlockwise: First frame', 'Press: Take'],
  ],
  ['pocket-mouse', 'wheel', 'brindle', 'base', ['Wheel press: off', 'Wheel up: null', 'Wheel down: null']],
  // A use that is not expected shows only where it is set.
  ['pen-tablet', 'upper-switch', 'brindle', 'base', ['Press: Hand', 'Press while touching: Zoom in']],
  ['pen-tablet', 'upper-switch', 'hushbox', 'base', ['Press: null']],
  // A bare shortcut is told by itself.
  ['three-pedals', 'left', 'tallow', 'base', ['Press: Shift']],
])('%s, %s in %s, layer %s', (device, control, profile, layer, expected) => {
  expect(uses(device, control, profile, layer)).toEqual(expected);
});
