import pg from 'pg';

/** What a database held, and a way to have it hold that again. */
export interface Beginning {
  putBack(): Promise<void>;
}

/**
 * The tables, and the columns of each that are written rather than worked out. By name, which is also the order in which a
 * state that is being kept takes them: neither waits for the other.
 */
const TABLES = `SELECT c.relname AS name, string_agg(quote_ident(a.attname), ', ' ORDER BY a.attnum) AS columns
  FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped AND a.attgenerated = ''
  WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'r' AND c.relname <> 'migrations' GROUP BY c.relname ORDER BY c.relname`;

/**
 * Keeps what a database holds now beside it. Put back, its set-ups are new ones: a server that remembers other edits of
 * them reads them anew.
 */
export async function keepBeginning(url: string): Promise<Beginning> {
  const ask = (sql: string) => askOnce(url, sql);
  const { rows } = await ask(TABLES);
  await ask('CREATE SCHEMA beginning');
  for (const { name } of rows) await ask(`CREATE TABLE beginning.${name} AS SELECT * FROM public.${name}`);
  const names = rows.map(({ name }) => `public.${name}`).join(', ');
  const filled = rows.map(
    ({ name, columns }) => `INSERT INTO public.${name} (${columns}) SELECT ${columns} FROM beginning.${name}`,
  );
  const sql = [
    'BEGIN',
    // What refers to what is right as it was.
    'SET LOCAL session_replication_role = replica',
    `TRUNCATE ${names}`,
    ...filled,
    'UPDATE public.set_ups SET created_at = clock_timestamp()',
    'COMMIT',
  ].join(';\n');
  return { putBack: async () => void (await ask(sql)) };
}

/** On a connection of its own: tests end those that they find. */
async function askOnce(url: string, sql: string) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await client.query<{ name: string; columns: string }>(sql);
  } finally {
    await client.end();
  }
}
