export { upcastPair } from './upcast.ts';
export { macroWithIds, menuWithIds, rulesWithIds, setupWithIds } from './withIds.ts';
