import pg from 'pg';

// A connection for one piece of work, closed whatever comes of it.
async function withClient(url, work) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Makes a database on a server unless it is there. `url` is that of any database on the server. */
export async function ensureDatabase(url, name) {
  await withClient(url, async (client) => {
    const found = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [name]);
    if (found.rowCount === 0) await client.query(`CREATE DATABASE ${client.escapeIdentifier(name)}`);
  });
}

/** Drops a database with everything in it, if it is there. */
export async function dropDatabase(url, name) {
  await withClient(url, (client) =>
    client.query(`DROP DATABASE IF EXISTS ${client.escapeIdentifier(name)} WITH (FORCE)`),
  );
}

/** The address of another database on the same server. */
export function sibling(url, name) {
  const other = new URL(url);
  other.pathname = `/${name}`;
  return other.href;
}
