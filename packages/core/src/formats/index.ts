export { canonicalJson } from './canonicalJson.ts';
export {
  type CommandList,
  commandListDocumentSchema,
  readCommandList,
  writeCommandList,
} from './commandListDocument.ts';
export { jsonSchemas } from './jsonSchemas.ts';
export { type JsonText, readJson } from './jsonText.ts';
export { readEventLines, writeStrokeLines } from './lines.ts';
export type { FormatProblem, JsonProblem } from './problem.ts';
export {
  type ControlSet,
  controlSetSchema,
  type StartingProfile,
  startingProfileSchema,
} from './readyMadeDocuments.ts';
export {
  type FilePart,
  PART_FILE_KINDS,
  readKeptSetup,
  readSetupDocument,
  SETUP_VERSION,
  type SetupFile,
  setupDocumentSchema,
  writeSetupDocument,
} from './setupDocument.ts';
