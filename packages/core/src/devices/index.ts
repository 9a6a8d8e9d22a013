export { benchDial } from './benchDial.ts';
export {
  CONTROL_KINDS,
  type Control,
  controlOf,
  controlSchema,
  mainTriggersOf,
  type NativeOutput,
  nativeOutputSchema,
  type Rotor,
  type Slider,
  type SpeedUp,
  type Spring,
  triggersOf,
  USUAL_RATES,
} from './control.ts';
export {
  DEVICE_KINDS,
  type Device,
  type DeviceSettings,
  deviceSchema,
  deviceSettingsSchema,
  USUAL_SETTINGS,
} from './device.ts';
export { freeId } from './freeId.ts';
export { idSchema, LINE_PATTERN, nameSchema } from './names.ts';
export { penTablet } from './penTablet.ts';
export { pocketMouse } from './pocketMouse.ts';
export { type Shape, shapeSchema } from './shape.ts';
export { shuttle } from './shuttle.ts';
export { threePedals } from './threePedals.ts';
export { isPressed, TRIGGERS, type Trigger, triggerSchema } from './trigger.ts';
export { twelvePad } from './twelvePad.ts';
export { voice } from './voice.ts';
export { wallPanel } from './wallPanel.ts';
