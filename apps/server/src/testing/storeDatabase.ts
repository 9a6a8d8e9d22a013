import type { Pool } from 'pg';
import { pino } from 'pino';
import type { DataSource } from 'typeorm';
import { openDatabase } from '../database/dataSource.ts';
import { poolOf } from '../store/database.ts';
import { SetupStore } from '../store/setupStore.ts';
import { newDatabase } from './database.ts';

/** A database of its own for the tests of a file, and stores on it. */
interface StoreDatabase {
  /** From the first test on. */
  readonly source: () => DataSource;
  readonly pool: () => Pool;
  /** As another copy of the server would have; `told` notes what pages would be told. */
  readonly newStore: (told?: string[]) => SetupStore;
}

/** Makes a database before the first test of a file, and drops it after the last. */
export function useStoreDatabase(): StoreDatabase {
  let opened: DataSource | null = null;
  let drop: (() => Promise<void>) | null = null;
  const stores: SetupStore[] = [];
  const source = (): DataSource => {
    if (!opened) throw new Error('The database is there in tests only.');
    return opened;
  };
  beforeAll(async () => {
    const database = await newDatabase();
    drop = database.drop;
    opened = await openDatabase(database.url);
  });
  // What is still being kept would meet what the next test makes.
  afterEach(() => Promise.all(stores.splice(0).map((store) => store.settled())));
  afterAll(async () => {
    await opened?.destroy();
    await drop?.();
  });
  return {
    source,
    pool: () => poolOf(source()),
    newStore: (told = []) => {
      const store = new SetupStore(
        poolOf(source()),
        (setUp, from, to, texts) => told.push(`${setUp} ${from}-${to} (${texts.length})`),
        pino({ level: 'silent' }),
      );
      stores.push(store);
      return store;
    },
  };
}
