import { randomBytes } from 'node:crypto';
import { dropDatabase, ensureDatabase, sibling } from '../../../../scripts/lib/databases.mjs';

/** A new, empty database on the test server, and a way to drop it. */
export async function newDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const server = process.env.TEST_DATABASE_URL;
  if (!server) throw new Error('TEST_DATABASE_URL is missing: run these tests by `npm test -- unit`.');
  const name = `nimble_lever_unit_${randomBytes(6).toString('hex')}`;
  await ensureDatabase(server, name);
  return { url: sibling(server, name), drop: () => dropDatabase(server, name) };
}
