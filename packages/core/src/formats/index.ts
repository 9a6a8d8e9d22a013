export { jsonSchemas } from './jsonSchemas.ts';
export { type JsonText, readJson } from './jsonText.ts';
export { readEventLines, writeStrokeLines } from './lines.ts';
export { compareMemory, type MemoryDifference } from './memory/compareMemory.ts';
export { MEMORY_FRAME, type MemoryProblem, readMemory, writeMemory } from './memory/memoryBytes.ts';
export type { MemoryDoes, MemoryEntry, MemoryReason } from './memory/memoryEntry.ts';
export { type MemoryPlan, planMemory } from './memory/memoryPlan.ts';
export { type FormatProblem, type JsonPath, type JsonProblem, pathText } from './problem.ts';
export { readSetupDocument, setupDocumentSchema, writeSetupDocument } from './setupDocument.ts';
