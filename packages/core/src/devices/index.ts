export { benchDial } from './benchDial.ts';
export {
  CONTROL_KINDS,
  type Control,
  controlSchema,
  DEVICE_KINDS,
  type Device,
  deviceSchema,
  idSchema,
  LINE_PATTERN,
  mainTriggersOf,
  type NativeOutput,
  nameSchema,
  nativeOutputSchema,
  type Rotor,
  type SpeedUp,
  triggersOf,
} from './device.ts';
export { pocketMouse } from './pocketMouse.ts';
export { type Shape, shapeSchema } from './shape.ts';
export { isPressed, TRIGGERS, type Trigger, triggerSchema } from './trigger.ts';
export { twelvePad } from './twelvePad.ts';
