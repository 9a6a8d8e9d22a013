export { type About, aboutOf } from './about.ts';
export { BINDING_COLUMNS, bindingRows, bindingsCsv, bindingsMarkdown } from './bindingTable.ts';
export { type DeviceMapping, type Mapping, mappingTo, proposeMapping } from './deviceMapping.ts';
export { type Difference, differencesBetween, differencesOf } from './differences.ts';
export { type Compared, type DifferenceWords, differenceWords } from './differenceWords.ts';
export { type EditTo, editTo } from './editTo.ts';
export { entryParts, entryWords } from './entryWords.ts';
export { fileText, MOST_FILE_BYTES, tooLargeWords } from './fileText.ts';
export {
  CHOICES,
  type Choice,
  type ComingPart,
  type Incoming,
  planIncoming,
  proposeChoices,
  takeIn,
} from './incoming.ts';
export { type Moment, momentsSchema, packMoments, unpackMoments } from './moments.ts';
export { type Beginning, beginningSchema, emptySetup, newSetUpSchema, readyMadeSetup } from './newSetup.ts';
export { hasPart, outgoing, partKeys } from './outgoing.ts';
export { SITTING_GAP_MS, type Sitting, sittingsOf } from './sittings.ts';
export {
  BULK_PARTS,
  goBackSchema,
  MOST_SNAPSHOTS,
  newSnapshotSchema,
  SNAPSHOT_KINDS,
  type SnapshotHead,
  type SnapshotKind,
  snapshotHeadSchema,
  snapshotWordsSchema,
  wentBackSchema,
} from './snapshot.ts';
export { keepSchema, type Storage, storageSchema } from './storage.ts';
export { type Taken, takeOver } from './takeOver.ts';
export {
  UNIT_KINDS,
  type UnitKind,
  type UnitPlace,
  type Units,
  unitKey,
  unitPlace,
  unitsOf,
} from './units.ts';
