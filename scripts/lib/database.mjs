import { startCluster } from './cluster.mjs';
import { say } from './say.mjs';

/**
 * The PostgreSQL server to use: the one `DATABASE_URL` names, or a cluster of this clone's own.
 * Gives the address of a database on it and a way to leave it.
 */
export async function openServer(name) {
  const given = process.env.DATABASE_URL;
  if (given) {
    say(`Using the database server of DATABASE_URL (${new URL(given).host}).`);
    return { url: given, given: true, stop: () => undefined };
  }
  const cluster = await startCluster(name);
  return { url: cluster.urlOf('postgres'), given: false, stop: cluster.stop, cluster };
}
