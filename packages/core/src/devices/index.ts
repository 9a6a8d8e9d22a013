// A device nobody described, put together from what is heard of it.
export { addHeardControl, heardAsControl } from './addHeard.ts';
// The invented devices of the catalogue, each in a file of its own, in millimetres.
export { benchDial } from './benchDial.ts';
export { CATALOGUE, fromCatalogue } from './catalogue.ts';
export {
  type Coasting,
  coastedDegrees,
  coastingLasts,
  type FeltTurn,
  speedAtRelease,
} from './coasting.ts';
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
  type DeviceKind,
  type DeviceMemory,
  deviceOf,
  deviceSchema,
  MOST_CONTROLS,
  movesPointer,
  takesPhrases,
} from './device.ts';
// How names, ids and phrases are compared: as a person reads them.
export { foldPhrase } from './foldPhrase.ts';
export { freeId } from './freeId.ts';
export {
  type ControlOf,
  controlHeard,
  type HeardChange,
  type HeardInput,
  type HeardUse,
  usesHeard,
} from './heard.ts';
export { heardIdSchema } from './heardId.ts';
export {
  cutName,
  foldName,
  ID_PATTERN,
  idSchema,
  LINE_PATTERN,
  lineSchema,
  nameSchema,
} from './names.ts';
// Panels: pages divided by grids, and the cells on them.
export {
  type Cell,
  type CellArea,
  LABEL_PLACES,
  type LabelPlace,
  LETTERS,
  type Letters,
} from './panel/cell.ts';
export { cellAt, cellCap, cellShape, dividePanel, isInside, overlap } from './panel/cellShape.ts';
export { controlsOn, isOnEveryPage } from './panel/controlsOn.ts';
export { CELL_KINDS, type CellKind, cellKindOf, newCell, usesOfCell } from './panel/newCell.ts';
export { SCREENS, type ScreenName, sizeOfScreen } from './panel/panelSizes.ts';
export {
  type Grid,
  gridSchema,
  MOST_COLUMNS,
  MOST_ROWS,
  PANEL_FITS,
  type PanelPicture,
  panelPictureSchema,
  type TouchPanel,
} from './panel/touchPanel.ts';
export { penTablet } from './penTablet.ts';
export { closestPhrase, readWordings, wordingsOf } from './phrases.ts';
export {
  type FacePicture,
  facePictureSchema,
  MOST_PICTURE_BYTES,
  MOST_ZOOM,
  PICTURE_FITS,
  PICTURE_SIDES,
  PICTURE_USES,
  type PictureUse,
  pictureIdSchema,
  pictureOnFace,
  pictureSchema,
} from './picture.ts';
export { pocketMouse } from './pocketMouse.ts';
// How a device is tuned, and what that makes of a movement.
export { type Acceleration, pointerGain, turnFactor } from './ramp.ts';
export { readingDistance } from './readingDistance.ts';
export {
  type DeviceSettings,
  deviceSettingsSchema,
  MOST_COMPUTERS,
  MOST_SPEEDS,
  REPORT_RATES,
  USUAL_SETTINGS,
  USUAL_WHEEL,
  WHEEL_MODES,
  type WheelMode,
  type WheelSettings,
} from './settings.ts';
// Where a control is on its device, for drawings and labels.
export { type Shape, shapeSchema } from './shape.ts';
export { shapeBox } from './shapeBox.ts';
export { shuttle } from './shuttle.ts';
export { sixPad } from './sixPad.ts';
export { placeForStep } from './sliderSteps.ts';
export { type FeltPress, type Suggestion, suggestTimes } from './suggestTimes.ts';
export { threePedals } from './threePedals.ts';
export {
  isMoved,
  isPlus,
  isPressed,
  oppositeOf,
  TRIGGERS,
  type Trigger,
  triggerSchema,
  type Way,
  wayOf,
} from './trigger.ts';
export { tunedControl } from './tuned.ts';
export { twelvePad } from './twelvePad.ts';
// Why a value was refused, as a code that `words` puts into a sentence.
export { because, type ValueProblem } from './valueProblem.ts';
export { addPhrase, voice } from './voice.ts';
export { wallPanel } from './wallPanel.ts';
