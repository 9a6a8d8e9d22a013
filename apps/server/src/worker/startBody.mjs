// The same for the thread that reads large bodies.
import { register } from 'tsx/esm/api';

register();
await import('./bodyThread.ts');
