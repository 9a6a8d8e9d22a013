import { createHash } from 'node:crypto';
import http from 'node:http';
import https from 'node:https';
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
    const { name, instance, database } = JSON.parse(await health(port));
    if (name !== 'Nimble Lever') return 'other';
    if (instance !== INSTANCE) return 'another-clone';
    return database === 'up' ? 'own' : 'own-sick';
  } catch (error) {
    return error?.code === 'ECONNREFUSED' ? 'nothing' : 'other';
  }
}

/** How this clone's server is reached, by what the environment says: encrypted where it names a certificate. */
export const SCHEME = process.env.TLS_CERT ? 'https' : 'http';

function health(port) {
  // Whose certificate it is does not matter here: nothing secret is sent, and the answer says who it is.
  const options = { rejectUnauthorized: false, timeout: LIMIT_MS };
  return new Promise((resolve, reject) => {
    const { get } = SCHEME === 'https' ? https : http;
    const request = get(`${SCHEME}://127.0.0.1:${port}/api/health`, options, (response) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (part) => {
        text += part;
      });
      response.on('end', () => resolve(text));
    });
    request.on('timeout', () => request.destroy(new Error('It does not answer.')));
    request.on('error', reject);
  });
}
