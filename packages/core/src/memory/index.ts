export { compareMemory, type MemoryDifference } from './compareMemory.ts';
export { MEMORY_FRAME, type MemoryProblem, readMemory, writeMemory } from './memoryBytes.ts';
export type { Memory, MemoryDoes, MemoryEntry, MemoryReason } from './memoryEntry.ts';
export { type MemoryPlan, planMemory } from './memoryPlan.ts';
export { takeOverMemory } from './takeOver.ts';
