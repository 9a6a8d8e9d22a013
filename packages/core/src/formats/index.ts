export { jsonSchemas } from './jsonSchemas.ts';
export { readEventLines, writeStrokeLines } from './lines.ts';
export { type FormatProblem, pathText } from './problem.ts';
export { readSetupDocument, setupDocumentSchema, writeSetupDocument } from './setupDocument.ts';
