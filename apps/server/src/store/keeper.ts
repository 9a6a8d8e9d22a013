import { type LogEntry, partsOf } from '@nimble-lever/core/setup';
import { BULK_PARTS } from '@nimble-lever/core/vault';
import type { Logger } from 'pino';
import { isAway } from './database.ts';
import type { StoredSetup } from './loadSetup.ts';
import { type Keeping, MARK, type Snapshots } from './snapshots.ts';
import { MARK_EVERY } from './stateAt.ts';

/** So many states may wait to be kept: an hour's work of a studio. */
const MOST_WAITING = 8;

const BY_ITSELF = { name: null, note: null, author: null, day: null } as const;

/** Keeps states by itself as a set-up is edited. */
export class Keeper {
  /** The day of the last edits of each set-up, so that the first of a day is known. */
  readonly #days = new Map<string, string>();
  readonly #imports = new Set<string>();
  /** States that are kept one after the other, while edits go on. */
  #marking: Promise<void> = Promise.resolve();
  #waiting = 0;

  constructor(
    private readonly snapshots: Snapshots,
    private readonly log: Logger,
  ) {}

  /** Of these entries the state before each is kept as that before an import; until what is given is called. */
  expectImport(entries: readonly Pick<LogEntry, 'id'>[]): () => void {
    for (const { id } of entries) this.#imports.add(id);
    return () => {
      for (const { id } of entries) this.#imports.delete(id);
    };
  }

  /**
   * Keeps the state before the first edit of a day, and before each large one; without that a large one is not made.
   *
   * @param states the state before each entry
   */
  async beforeSaving(states: readonly StoredSetup[], written: readonly LogEntry[]): Promise<void> {
    const [first] = states;
    if (first) await this.#keepDaily(first);
    for (const [i, { id, edit }] of written.entries()) {
      const state = states[i];
      const kind = this.#imports.has(id) ? 'import' : 'bulk';
      if (!state || !edit || (kind === 'bulk' && partsOf(edit).length < BULK_PARTS)) continue;
      await this.snapshots.keep(state, { ...BY_ITSELF, kind });
    }
  }

  /**
   * Keeps a state every so often, to go on from. A large one takes a second and more, for which no edit waits; but where
   * many wait to be kept, edits do until they are.
   *
   * @param states the state after each entry
   */
  async afterSaving(states: readonly StoredSetup[], written: readonly LogEntry[]): Promise<void> {
    for (const [i, state] of states.entries()) {
      if (state.revision % MARK_EVERY !== 0) continue;
      const entry = written[i]?.id;
      this.#waiting += 1;
      const before = this.#marking;
      this.#marking = before.then(async () => {
        await this.#tryKeep(state, { ...MARK, entry });
        this.#waiting -= 1;
      });
      if (this.#waiting > MOST_WAITING) await before;
    }
  }

  /** What was to be kept so far is kept. */
  settled(): Promise<void> {
    return this.#marking;
  }

  async #keepDaily(state: StoredSetup): Promise<void> {
    const day = dayOf(new Date());
    if (this.#days.get(state.id) === day) return;
    // What it began as can always be made anew.
    if (state.revision === 0) this.#days.set(state.id, day);
    else if (await this.#tryKeep(state, { ...BY_ITSELF, kind: 'daily', day })) this.#days.set(state.id, day);
  }

  /** Nobody's edit fails with what can be made good later. */
  async #tryKeep(state: StoredSetup, keeping: Keeping): Promise<boolean> {
    try {
      await this.snapshots.keep(state, keeping);
      return true;
    } catch (error) {
      if (!isAway(error)) this.log.error({ err: error }, 'A state of the set-up could not be kept.');
      return false;
    }
  }
}

/** A day where the server is: `2026-11-27`. */
function dayOf(moment: Date): string {
  const two = (number: number) => String(number).padStart(2, '0');
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
}
