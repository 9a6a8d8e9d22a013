import { Problem } from '../problem/problem.ts';

/** Bytes that are no UTF-8 are refused rather than read as something else. */
const decoder = new TextDecoder('utf-8', { fatal: true });

/** Bytes that are no JSON are the sender’s mistake, told as such. */
export function parseBody(body: Uint8Array): unknown {
  try {
    return JSON.parse(decoder.decode(body));
  } catch {
    throw new Problem(400, 'Not JSON', 'The request is not readable JSON. Nothing was changed.');
  }
}
