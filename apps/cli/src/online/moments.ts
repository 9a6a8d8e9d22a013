import { type Setup, stateSchema, storedSchema } from '@nimble-lever/core/setup';
import { type SnapshotHead, snapshotHeadSchema } from '@nimble-lever/core/vault';
import { Refused, readSetup } from '../files.ts';
import type { Server } from './server.ts';

/** The snapshots of a set-up, newest first. */
export async function snapshotsOf(server: Server, setUp: string): Promise<readonly SnapshotHead[]> {
  return server.json(snapshotHeadSchema.array(), 'GET', `/api/set-ups/${setUp}/snapshots`);
}

/** The number of an edit, or of the one after which a snapshot of that name was made; the newest where several are. */
export async function revisionOf(server: Server, setUp: string, named: string): Promise<number> {
  if (/^\d{1,9}$/.test(named)) return Number(named);
  const found = (await snapshotsOf(server, setUp)).find(
    ({ name, id }) => id === named || name?.toLowerCase() === named.toLowerCase(),
  );
  if (found) return found.revision;
  throw new Refused(`There is no snapshot “${named}”, and it is no number of an edit.`);
}

/** A set-up: of a file, or of the server as it is now (`loft`) or was (`loft@120`, `loft@Before the shot`). */
export async function setupNamed(server: Server, named: string): Promise<Setup> {
  if (/\.json$/i.test(named)) return readSetup(named);
  const at = named.indexOf('@');
  const { id } = await server.setUp(at < 0 ? named : named.slice(0, at));
  if (at < 0) return (await server.json(storedSchema, 'GET', `/api/set-ups/${id}`)).setup;
  const revision = await revisionOf(server, id, named.slice(at + 1));
  return (await server.json(stateSchema, 'GET', `/api/set-ups/${id}/states/${revision}`)).setup;
}
