import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { Bin1765300000000 } from './bin.ts';
import { CommandNotes1764600000000 } from './commandNotes.ts';
import { DeviceOrigins1764300000000 } from './deviceOrigins.ts';
import { EditsByField1764400000000 } from './editsByField.ts';
import { EngineParts1764200000000 } from './engineParts.ts';
import { ENTITIES } from './entities.ts';
import { Facts1765400000000 } from './facts.ts';
import { FirstTables1764000000000 } from './firstTables.ts';
import { KeysByMeaning1764500000000 } from './keysByMeaning.ts';
import { NewerDatabase } from './newerDatabase.ts';
import { Packs1765500000000 } from './packs.ts';
import { PageBases1765100000000 } from './pageBases.ts';
import { Pages1764700000000 } from './pages.ts';
import { Pairings1765000000000 } from './pairings.ts';
import { Panels1764900000000 } from './panels.ts';
import { Pictures1764800000000 } from './pictures.ts';
import { ProfileRules1764100000000 } from './profileRules.ts';
import { Snapshots1765200000000 } from './snapshots.ts';

/** Any number, the same for all copies: only one migrates at a time. */
const MIGRATION_LOCK = 468_001;

/** In the order in which they came; one that was released is never changed. */
export const MIGRATIONS = [
  FirstTables1764000000000,
  ProfileRules1764100000000,
  EngineParts1764200000000,
  DeviceOrigins1764300000000,
  EditsByField1764400000000,
  KeysByMeaning1764500000000,
  CommandNotes1764600000000,
  Pages1764700000000,
  Pictures1764800000000,
  Panels1764900000000,
  Pairings1765000000000,
  PageBases1765100000000,
  Snapshots1765200000000,
  Bin1765300000000,
  Facts1765400000000,
  Packs1765500000000,
];

/**
 * A database that is up accepts within milliseconds; one that takes longer is told to the person who waits at
 * the start.
 */
const CONNECT_LIMIT_MS = 5_000;
/** Enough for one writer, readers beside it and the listener; PostgreSQL itself allows 100 as it comes. */
export const MOST_CONNECTIONS = 8;

/** A query that takes longer has met a database that is frozen or overloaded: milliseconds. */
const QUERY_LIMIT_MS = 10_000;

/**
 * Connects to the database and brings its tables up to date. Throws `NewerDatabase` where a newer version has been
 * at them.
 */
export async function openDatabase(url: string, queryLimitMs = QUERY_LIMIT_MS): Promise<DataSource> {
  const migrating = new DataSource({
    ...options(url),
    extra: { max: 2, connectionTimeoutMillis: CONNECT_LIMIT_MS },
  });
  await migrating.initialize();
  try {
    await migrate(migrating);
  } finally {
    await migrating.destroy();
  }
  const limits = { query_timeout: queryLimitMs, statement_timeout: queryLimitMs };
  const extra = {
    max: MOST_CONNECTIONS,
    connectionTimeoutMillis: Math.min(CONNECT_LIMIT_MS, queryLimitMs),
    keepAlive: true,
    ...limits,
  };
  return new DataSource({ ...options(url), extra }).initialize();
}

/** No synchronise: tables are changed by migrations only, so that two versions of the server never fight over them. */
export function options(url: string) {
  return {
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    synchronize: false,
    poolErrorHandler: () => undefined,
  } as const;
}

/** Large tables take their time, so that there is no limit here. */
async function migrate(source: DataSource): Promise<void> {
  const lock = source.createQueryRunner();
  try {
    await lock.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await refuseNewer(lock);
    await source.runMigrations({ transaction: 'each' });
  } finally {
    await lock.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    await lock.release();
  }
}

/** A database that a newer version has migrated is left alone: this one would not keep what it does not know. */
async function refuseNewer(runner: { query(text: string): Promise<unknown> }): Promise<void> {
  const [{ there }] = (await runner.query(`SELECT to_regclass('migrations') IS NOT NULL AS there`)) as [
    { there: boolean },
  ];
  if (!there) return;
  const done = (await runner.query('SELECT name FROM migrations')) as { name: string }[];
  const known: ReadonlySet<string> = new Set(MIGRATIONS.map((migration) => new migration().name));
  const newer = done.filter(({ name }) => !known.has(name)).map(({ name }) => name);
  if (newer.length > 0) throw new NewerDatabase(newer);
}
