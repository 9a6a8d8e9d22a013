import { deskMouse } from './deskMouse.ts';
import {
  controlHeard,
  type HeardChange,
  heardIdSchema,
  penTablet,
  pocketMouse,
  shuttle,
  twelvePad,
  usesHeard,
  wallPanel,
} from './index.ts';

const pad = twelvePad('pad');
const heardAs = (device: typeof pad, control: string, id: string) => ({
  ...device,
  controls: device.controls.map((each) => (each.id === control ? { ...each, heardAs: [id] } : each)),
});
const rig = [
  pocketMouse('mouse'),
  penTablet('tablet'),
  heardAs(pad, 'key-3', 'key/F13'),
  deskMouse('desk'),
  heardAs(shuttle('shuttle'), 'ring', 'gamepad/0/axis/0'),
  heardAs(wallPanel('panel'), 'fader-2', 'midi/1/controller/7'),
];
const down: HeardChange = { kind: 'down' };

// W3C Pointer Events, “Chorded button interactions”: back is button 3, forward 4, a pen's barrel 2, its eraser 5.
test.each<readonly [string, HeardChange, string | null]>([
  ['mouse/button/0', down, 'mouse/left'],
  ['mouse/button/1', down, 'mouse/wheel'],
  ['mouse/button/2', down, 'mouse/right'],
  ['mouse/button/3', down, 'mouse/thumb-rear'],
  ['mouse/button/4', down, 'mouse/thumb-front'],
  ['mouse/wheel', { kind: 'turn', amount: 1 }, 'mouse/wheel'],
  ['mouse/tilt', { kind: 'turn', amount: -1 }, 'desk/tilt-left'],
  ['mouse/tilt', { kind: 'turn', amount: 1 }, 'desk/tilt-right'],
  ['pen/button/0', down, 'tablet/tip'],
  ['pen/button/2', down, 'tablet/lower-switch'],
  ['pen/button/5', down, 'tablet/eraser'],
  ['key/F13', down, 'pad/key-3'],
  ['key/F14', down, null],
  ['midi/1/note/60', down, null],
])('%s with %j belongs to %s', (id, change, expected) => {
  expect(heardIdSchema.safeParse(id).success).toBe(true);
  const found = controlHeard(rig, { id, change });
  expect(found && `${found.device.id}/${found.control.id}`).toBe(expected);
});

test.each<readonly [string, HeardChange, object[]]>([
  ['key/F13', down, [{ kind: 'down', control: 'key-3' }]],
  ['mouse/wheel', { kind: 'turn', amount: -2 }, [{ kind: 'turn', unit: 'detents', amount: -2 }]],
  ['mouse/tilt', { kind: 'turn', amount: 1 }, [{ kind: 'down' }, { kind: 'up' }]],
  ['midi/1/controller/7', { kind: 'value', value: 0.25 }, [{ kind: 'position', value: 0.25 }]],
  ['gamepad/0/axis/0', { kind: 'value', value: 1 }, [{ kind: 'position', value: 7 }]],
  ['gamepad/0/axis/0', { kind: 'value', value: 0.5 }, [{ kind: 'position', value: 0 }]],
  ['key/F13', { kind: 'value', value: 0.9 }, [{ kind: 'down' }]],
  ['midi/1/controller/7', down, []],
  ['gamepad/0/button/1', down, []],
])('%s with %j tells the engine %j', (id, change, uses) => {
  const found = controlHeard(rig, { id, change });
  const heard = found ? usesHeard(found, change) : [];
  expect(heard).toMatchObject(uses);
  expect(heard).toHaveLength(uses.length);
});
