import pg from 'pg';
import type { Logger } from 'pino';
import { EDITS_CHANNEL } from './writeStatement.ts';

/**
 * After a connection is lost the listener tries again, at first at once, then ever more slowly: a database
 * that starts again should not be asked a thousand times.
 */
const FIRST_RETRY_MS = 250;
const LAST_RETRY_MS = 10_000;
/** A connection that does not answer for so long is taken for lost. */
const CHECK_MS = 20_000;
/** A connection that takes longer is given up and tried again. */
const LIMIT_MS = 5_000;

/**
 * Listens for new revisions on one connection of its own. When it is lost it is ended for good before another is
 * tried, so that there is never more than one. `onEdits` gets the set-up's id and revision, or nulls when some may
 * have been missed.
 */
export class EditListener {
  #client: pg.Client | null = null;
  #timer: NodeJS.Timeout | null = null;
  #failures = 0;
  #closed = false;

  constructor(
    private readonly url: string,
    private readonly onEdits: (setUp: string | null, revision: number | null) => void,
    private readonly log: Logger,
    private readonly random: () => number = Math.random,
  ) {}

  /** Connects; resolves when listening. */
  async open(): Promise<void> {
    const client = new pg.Client({
      connectionString: this.url,
      connectionTimeoutMillis: LIMIT_MS,
      query_timeout: LIMIT_MS,
      keepAlive: true,
    });
    client.on('error', () => this.#lost(client));
    client.on('end', () => this.#lost(client));
    client.on('notification', ({ payload }) => this.#heard(payload));
    try {
      await client.connect();
      await client.query(`LISTEN ${EDITS_CHANNEL}`);
    } catch (error) {
      end(client);
      throw error;
    }
    if (this.#closed) return end(client);
    this.#client = client;
    this.#failures = 0;
    this.#later(CHECK_MS, () => this.#check(client));
  }

  async close(): Promise<void> {
    this.#closed = true;
    if (this.#timer) clearTimeout(this.#timer);
    const client = this.#client;
    this.#client = null;
    await client?.end().catch(() => undefined);
  }

  /** What the database says of an edit is only that there is one: a notification holds 8,000 bytes at most. */
  #heard(payload = ''): void {
    const [setUp = '', revision] = payload.split(' ');
    this.onEdits(setUp, Number(revision));
  }

  /** A connection that died without a word is found by asking it. */
  async #check(client: pg.Client): Promise<void> {
    try {
      await client.query('SELECT 1');
      this.#later(CHECK_MS, () => this.#check(client));
    } catch {
      this.#lost(client);
    }
  }

  /** Ended for good before another is tried: two that listen would tell everything twice. */
  #lost(client: pg.Client): void {
    if (this.#closed || this.#client !== client) return;
    this.#client = null;
    end(client);
    this.log.warn('The connection that listens for edits was lost; connecting again.');
    this.#retry();
  }

  /** Each pause is up to twice as long as the one before, with chance in it, so that copies do not come all at once. */
  #retry(): void {
    const most = Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.#failures);
    this.#failures += 1;
    this.#later(most / 2 + (most / 2) * this.random(), async () => {
      try {
        await this.open();
        this.onEdits(null, null);
      } catch {
        this.#retry();
      }
    });
  }

  /** The one timer: a check while connected, a retry while not. */
  #later(ms: number, work: () => Promise<void>): void {
    if (this.#timer) clearTimeout(this.#timer);
    if (this.#closed) return;
    this.#timer = setTimeout(() => void work(), ms);
  }
}

/** Ends a connection whatever state it is in. A frozen one never says goodbye, so its socket is closed as well. */
function end(client: pg.Client): void {
  client.on('error', () => undefined);
  client.end().catch(() => undefined);
  const { stream } = (client as unknown as { connection: { stream: { destroy(): void } } }).connection;
  stream.destroy();
}
