import { applyEdit, type Entry, type LogEntry, type Refusal, type Setup } from '@nimble-lever/core/setup';
import { type DataSource, type EntityManager, In, MoreThan } from 'typeorm';
import {
  BindingEntity,
  CommandEntity,
  DeviceEntity,
  EditEntity,
  type EditRow,
  LayerEntity,
  MacroEntity,
  ProfileEntity,
  ProgramEntity,
  RadialMenuEntity,
  SetUpEntity,
} from '../database/entities.ts';
import { fromRows, type SetupRows, toRows } from './rows.ts';
import { writeRows } from './writeRows.ts';

/** The database channel that tells every copy of the server about new revisions. */
export const EDITS_CHANNEL = 'nimble_lever_edits';

export interface StoredSetup {
  readonly id: string;
  readonly revision: number;
  readonly setup: Setup;
}

export type AppendOutcome =
  | { readonly kind: 'saved'; readonly revision: number; readonly entries: readonly LogEntry[] }
  | { readonly kind: 'stale'; readonly revision: number; readonly missed: readonly LogEntry[] }
  | { readonly kind: 'refused'; readonly entry: string; readonly refusal: Refusal }
  | { readonly kind: 'unknown' };

/** Set-ups and their edit logs in the database. */
export class SetupStore {
  /** The newest state read or written, good only while the database has the same revision. */
  readonly #known = new Map<string, StoredSetup>();

  constructor(private readonly source: DataSource) {}

  /** All set-ups, by id. */
  async list(): Promise<{ id: string; name: string; revision: number }[]> {
    return this.source.getRepository(SetUpEntity).find({ order: { id: 'ASC' } });
  }

  /** A set-up with its revision, read in one consistent view; null when there is none. */
  async read(id: string): Promise<StoredSetup | null> {
    return this.source.transaction('REPEATABLE READ', (manager) => this.#load(manager, id, false));
  }

  /** Adds a set-up at revision 0 if there is none at all; says whether it did. */
  async createFirst(id: string, setup: Setup): Promise<boolean> {
    return this.source.transaction(async (manager) => {
      await manager.query('LOCK TABLE set_ups IN EXCLUSIVE MODE');
      if ((await manager.count(SetUpEntity)) > 0) return false;
      await manager.insert(SetUpEntity, { id, name: setup.name, revision: 0 });
      await writeRows(manager, null, toRows(id, setup));
      return true;
    });
  }

  /** Log entries after a revision, oldest first. */
  async entriesAfter(id: string, revision: number): Promise<LogEntry[]> {
    return entriesAfter(this.source.manager, id, revision);
  }

  /** The newest `count` log entries, oldest first. */
  async newestEntries(id: string, count: number): Promise<LogEntry[]> {
    const rows = await this.source
      .getRepository(EditEntity)
      .find({ where: { setUp: id }, order: { revision: 'DESC' }, take: count });
    return rows.toReversed().map(toEntry);
  }

  /**
   * Appends edits made on top of revision `base`, all or none. Entries saved before (the answer was lost on
   * the way) are not applied again. The answer and the change become visible to others at the same moment.
   */
  async append(id: string, base: number, entries: readonly Entry[]): Promise<AppendOutcome> {
    const result = await this.source.transaction(async (manager) => this.#append(manager, id, base, entries));
    if (result.after) this.#known.set(id, result.after);
    return result.outcome;
  }

  async #append(
    manager: EntityManager,
    id: string,
    base: number,
    entries: readonly Entry[],
  ): Promise<{ outcome: AppendOutcome; after?: StoredSetup }> {
    const stored = await this.#load(manager, id, true);
    if (!stored) return { outcome: { kind: 'unknown' } };
    const ids = entries.map((entry) => entry.id);
    const before = await manager.find(EditEntity, {
      where: { setUp: id, id: In(ids) },
      order: { revision: 'ASC' },
    });
    const savedBefore = new Set(before.map((row) => row.id));
    const fresh = entries.filter((entry) => !savedBefore.has(entry.id));
    const { revision } = stored;
    if (fresh.length > 0 && base + before.length !== revision) {
      return { outcome: { kind: 'stale', revision, missed: await entriesAfter(manager, id, base) } };
    }

    const at = new Date();
    const rows: EditRow[] = [];
    let setup = stored.setup;
    for (const entry of fresh) {
      const applied = applyEdit(setup, entry.edit);
      if (!applied.ok) return { outcome: { kind: 'refused', entry: entry.id, refusal: applied.problem } };
      setup = applied.value.setup;
      const { edit, role, of } = entry;
      const next = revision + rows.length + 1;
      rows.push({
        setUp: id,
        revision: next,
        id: entry.id,
        edit,
        inverse: applied.value.inverse,
        role,
        of,
        at,
      });
    }
    const after: StoredSetup = { id, revision: revision + rows.length, setup };
    if (rows.length > 0) {
      await writeRows(manager, toRows(id, stored.setup), toRows(id, setup));
      await manager.insert(EditEntity, rows);
      await manager.update(SetUpEntity, { id }, { name: setup.name, revision: after.revision });
      await manager.query('SELECT pg_notify($1, $2)', [EDITS_CHANNEL, id]);
    }
    const saved = [...before, ...rows].map(toEntry);
    return { outcome: { kind: 'saved', revision: after.revision, entries: saved }, after };
  }

  async #load(manager: EntityManager, id: string, forUpdate: boolean): Promise<StoredSetup | null> {
    const row = await manager.findOne(SetUpEntity, {
      where: { id },
      ...(forUpdate ? { lock: { mode: 'pessimistic_write' as const } } : {}),
    });
    if (!row) return null;
    const known = this.#known.get(id);
    if (known?.revision === row.revision) return known;
    const stored = { id, revision: row.revision, setup: fromRows(row.name, await readRows(manager, id)) };
    this.#known.set(id, stored);
    return stored;
  }
}

async function readRows(manager: EntityManager, setUp: string): Promise<SetupRows> {
  const where = { where: { setUp } };
  return {
    devices: await manager.find(DeviceEntity, where),
    programs: await manager.find(ProgramEntity, where),
    commands: await manager.find(CommandEntity, where),
    layers: await manager.find(LayerEntity, where),
    profiles: await manager.find(ProfileEntity, where),
    macros: await manager.find(MacroEntity, where),
    radialMenus: await manager.find(RadialMenuEntity, where),
    bindings: await manager.find(BindingEntity, where),
  };
}

async function entriesAfter(manager: EntityManager, id: string, revision: number): Promise<LogEntry[]> {
  const rows = await manager.find(EditEntity, {
    where: { setUp: id, revision: MoreThan(revision) },
    order: { revision: 'ASC' },
  });
  return rows.map(toEntry);
}

function toEntry({ id, revision, edit, inverse, role, of, at }: EditRow): LogEntry {
  return { id, revision, edit, inverse, role, of, at: at.toISOString() };
}
