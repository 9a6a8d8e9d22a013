// A thread of its own reads TypeScript only when told to. Which one it is stands after the question mark.
import { register } from 'tsx/esm/api';

register();
await import(`./${new URL(import.meta.url).search.slice(1) || 'storeWorker'}.ts`);
