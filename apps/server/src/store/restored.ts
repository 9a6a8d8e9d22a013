import { pino } from 'pino';
import { DataSource } from 'typeorm';
import { MIGRATIONS, openDatabase, options } from '../database/dataSource.ts';
import { NewerDatabase } from '../database/newerDatabase.ts';
import { poolOf } from './database.ts';
import { SetupStore } from './setupStore.ts';

/** A table of ours as it is made, empty. */
export interface MadeTable {
  readonly name: string;
  readonly columns: readonly string[];
}

/**
 * Makes the tables of an older version in an empty database, by its migrations; gives those that hold a backup's data,
 * each after what it refers to. Throws `NewerDatabase` for migrations that this version does not know.
 *
 * @param done the migrations a backup has, by name
 */
export async function makeTables(url: string, done: readonly string[]): Promise<readonly MadeTable[]> {
  const known = MIGRATIONS.map((migration) => ({ migration, name: new migration().name }));
  const newer = done.filter((each) => !known.some(({ name }) => name === each));
  if (newer.length > 0) throw new NewerDatabase(newer);
  const migrations = known.filter(({ name }) => done.includes(name)).map(({ migration }) => migration);
  const source = await new DataSource({ ...options(url), migrations }).initialize();
  try {
    await source.runMigrations({ transaction: 'each' });
    const names = (await source.query(
      `SELECT c.relname AS name, array_agg(a.attname::text ORDER BY a.attnum) AS columns
        FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped
        WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'r' AND c.relname <> 'migrations'
        GROUP BY c.relname ORDER BY c.relname`,
    )) as MadeTable[];
    const references = (await source.query(
      `SELECT conrelid::regclass::text AS "from", confrelid::regclass::text AS "to"
        FROM pg_constraint WHERE contype = 'f' AND NOT condeferrable AND conrelid <> confrelid`,
    )) as { from: string; to: string }[];
    return inOrder(names, references);
  } finally {
    await source.destroy();
  }
}

/** What is referred to comes first. What is checked at commit is not asked for: those may refer to each other. */
function inOrder(
  tables: readonly MadeTable[],
  references: readonly { from: string; to: string }[],
): readonly MadeTable[] {
  const ordered: MadeTable[] = [];
  let rest = [...tables];
  while (rest.length > 0) {
    const waits = ({ name }: MadeTable) =>
      references.some(({ from, to }) => from === name && rest.some((other) => other.name === to));
    const next = rest.filter((table) => !waits(table));
    if (next.length === 0) throw new Error('Tables refer to each other in a circle.');
    ordered.push(...next);
    rest = rest.filter(waits);
  }
  return ordered;
}

/** What a restored database holds, once it was brought up to date and every set-up was read. */
export interface Restored {
  readonly setUps: number;
  /** Parts of set-ups that cannot be read. They are kept as they are. */
  readonly unreadable: number;
}

/** Brings a restored database up to date and reads every set-up in it; throws where that does not succeed. */
export async function checkRestored(url: string): Promise<Restored> {
  const source = await openDatabase(url);
  try {
    const store = new SetupStore(poolOf(source), () => undefined, pino({ level: 'silent' }));
    const heads = await store.list();
    let unreadable = 0;
    for (const { id } of heads) unreadable += (await store.read(id))?.setup.unreadable.length ?? 0;
    return { setUps: heads.length, unreadable };
  } finally {
    await source.destroy();
  }
}
