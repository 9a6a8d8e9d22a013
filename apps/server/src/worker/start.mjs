// A thread of its own reads TypeScript only when told to.
import { register } from 'tsx/esm/api';

register();
await import('./storeWorker.ts');
