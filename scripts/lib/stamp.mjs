import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './places.mjs';

const SKIPPED = new Set(['node_modules', 'dist', '.local', '.git']);

/** A hash of files and of everything inside folders, by name and content. */
export function hashOf(places) {
  const hash = createHash('sha256');
  for (const place of places) addTo(hash, place);
  return hash.digest('hex');
}

function addTo(hash, place) {
  if (!existsSync(place)) return;
  if (statSync(place).isDirectory()) {
    const names = readdirSync(place).filter((name) => !SKIPPED.has(name));
    for (const name of names.sort()) addTo(hash, path.join(place, name));
    return;
  }
  // A clone that was copied or moved has the same hash: its place does not count.
  hash.update(`${path.relative(ROOT, place)}\0`).update(readFileSync(place));
}

/** Whether a stamp file holds this hash. */
export function isStamped(file, hash) {
  return existsSync(file) && readFileSync(file, 'utf8') === hash;
}

/** Writes a stamp. */
export function stamp(file, hash) {
  writeFileSync(file, hash);
}
