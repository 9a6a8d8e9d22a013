import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensureLocal } from './places.mjs';

/** The key that opens this clone's pages with ACCESS=key; only its owner may read the file. */
export function readOrMakeKey() {
  const file = path.join(ensureLocal(), 'access-key');
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}
