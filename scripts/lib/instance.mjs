import { createHash } from 'node:crypto';
import { ROOT } from './places.mjs';

/** A name for this clone that does not tell where it is. */
export const INSTANCE = createHash('sha256').update(`instance of ${ROOT}`).digest('hex').slice(0, 16);

/** What answers on a port: this clone's own server, another Nimble Lever, something else, or nothing. */
export async function whoIsThere(port) {
  try {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(2000) });
    const { name, instance } = await answer.json();
    if (name !== 'Nimble Lever') return 'other';
    return instance === INSTANCE ? 'own' : 'another-clone';
  } catch (error) {
    return error?.cause?.code === 'ECONNREFUSED' ? 'nothing' : 'other';
  }
}
