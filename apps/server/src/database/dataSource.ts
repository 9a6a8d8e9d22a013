import 'reflect-metadata';
import { DataSource } from 'typeorm';
import { DeviceOrigins1764300000000 } from './deviceOrigins.ts';
import { EngineParts1764200000000 } from './engineParts.ts';
import { ENTITIES } from './entities.ts';
import { FirstTables1764000000000 } from './firstTables.ts';
import { ProfileRules1764100000000 } from './profileRules.ts';

/** Any number, the same for all copies: only one migrates at a time. */
const MIGRATION_LOCK = 468_001;

/** Connects to the database and brings its tables up to date. */
export async function openDatabase(url: string): Promise<DataSource> {
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: [
      FirstTables1764000000000,
      ProfileRules1764100000000,
      EngineParts1764200000000,
      DeviceOrigins1764300000000,
    ],
    synchronize: false,
    poolErrorHandler: () => undefined,
    extra: { max: 10, connectionTimeoutMillis: 5000 },
  });
  await source.initialize();
  const lock = source.createQueryRunner();
  try {
    await lock.query('SELECT pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await source.runMigrations({ transaction: 'each' });
  } finally {
    await lock.query('SELECT pg_advisory_unlock($1)', [MIGRATION_LOCK]);
    await lock.release();
  }
  return source;
}
