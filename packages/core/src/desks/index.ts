export { cannotDo, DESK_ABILITIES, type DeskAbility } from './abilities.ts';
export { type FaceNow, facesNow } from './facesNow.ts';
export {
  type AccountLine,
  type AllShown,
  type Desk,
  deskSchema,
  type ForDesk,
  type Heard,
  heardSchema,
  type Input,
  inputSchema,
  isForDesk,
  isForRemote,
  MOST_DEVICES,
  MOST_MESSAGE_BYTES,
  MOST_MESSAGES,
  type OpenWindow,
  type Panel,
  panelSchema,
  type Remote,
  remoteSchema,
  type Said,
  type ShownFace,
  type Shows,
  saidSchema,
  showsSchema,
  type Taken,
} from './messages.ts';
export {
  CODE_SECONDS,
  type PairedBrowser,
  type PairingCode,
  pairAnswerSchema,
  pairedListSchema,
  pairingCodeSchema,
  pairSchema,
  type Rights,
  rightsSchema,
  visitorSchema,
} from './pairing.ts';
export { panelOf } from './panelOf.ts';
export { panelParts, panelWith, showsParts } from './parts.ts';
export { type Reached, reachedSchema } from './reached.ts';
export { RemoteClock } from './remoteClock.ts';
export { SHOWS_NOTHING, showsAfter, showsChanged, showsOf } from './showsOf.ts';
export { type Uses, usesSchema, withUses } from './uses.ts';
