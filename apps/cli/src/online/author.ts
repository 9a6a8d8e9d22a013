import { createHash } from 'node:crypto';
import { userInfo } from 'node:os';
import type { Author } from '@nimble-lever/core/setup';

/** Who edits from a terminal: the same each time, so that the history tells them apart from the pages. */
export function terminalAuthor(): Author {
  const digits = createHash('sha256').update(`terminal ${userInfo().uid}`).digest('hex');
  // A UUID of version 8, whose digits are of our own making (RFC 9562, 5.8).
  const id = [
    digits.slice(0, 8),
    digits.slice(8, 12),
    `8${digits.slice(13, 16)}`,
    `8${digits.slice(17, 20)}`,
    digits.slice(20, 32),
  ].join('-');
  return { id, name: 'Terminal' };
}
