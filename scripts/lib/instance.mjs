import { createHash } from 'node:crypto';
import { ROOT } from './places.mjs';

/** A name for this clone that does not tell where it is. */
export const INSTANCE = createHash('sha256').update(`instance of ${ROOT}`).digest('hex').slice(0, 16);

/** A server without its database answers late. */
const LIMIT_MS = 30_000;

/**
 * What answers on a port: this clone's own server, well or `own-sick` without its database, another Nimble Lever,
 * something else, or nothing.
 */
export async function whoIsThere(port) {
  try {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`, {
      signal: AbortSignal.timeout(LIMIT_MS),
    });
    const { name, instance, database } = await answer.json();
    if (name !== 'Nimble Lever') return 'other';
    if (instance !== INSTANCE) return 'another-clone';
    return database === 'up' ? 'own' : 'own-sick';
  } catch (error) {
    return error?.cause?.code === 'ECONNREFUSED' ? 'nothing' : 'other';
  }
}
