import pg from 'pg';
import type { Logger } from 'pino';

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

/** What is listened to, and what is done about it. */
interface Listeners {
  /** By channel, what is done with what is told there. */
  readonly channels: Readonly<Record<string, (payload: string) => void>>;
  /** From now on nothing is heard, until it is back. */
  readonly onLost?: () => void;
  /** It is heard again; something may have been missed. */
  readonly onBack: () => void;
}

/**
 * Listens to the database's notifications on one connection of its own. When it is lost it is ended for good before
 * another is tried, so that there is never more than one.
 */
export class Notifications {
  #client: pg.Client | null = null;
  #timer: NodeJS.Timeout | null = null;
  #failures = 0;
  #closed = false;
  #waiting: (readonly [string, string])[] = [];
  /** What is being told. */
  #saying: Promise<void> | null = null;

  constructor(
    private readonly url: string,
    private readonly listeners: Listeners,
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
    client.on('notification', ({ channel, payload = '' }) => this.listeners.channels[channel]?.(payload));
    try {
      await client.connect();
      for (const channel of Object.keys(this.listeners.channels)) {
        await client.query(`LISTEN ${client.escapeIdentifier(channel)}`);
      }
    } catch (error) {
      end(client);
      throw error;
    }
    if (this.#closed) return end(client);
    this.#client = client;
    this.#failures = 0;
    this.#later(CHECK_MS, () => this.#check(client));
  }

  /** How much waits to be told, one after the other. */
  get waiting(): number {
    return this.#waiting.length;
  }

  /** Tells something to all who listen to a channel, this one too, in order; while nothing is heard it is not told at all. */
  say(channel: string, payload: string): void {
    if (!this.#client) return;
    this.#waiting.push([channel, payload]);
    this.#saying ??= this.#sayAll(this.#client).finally(() => {
      this.#saying = null;
    });
  }

  async close(): Promise<void> {
    this.#closed = true;
    if (this.#timer) clearTimeout(this.#timer);
    await this.#saying;
    const client = this.#client;
    this.#client = null;
    await client?.end().catch(() => undefined);
  }

  /** What came while something was being told goes together, so that however much it is, it is told soon. */
  async #sayAll(client: pg.Client): Promise<void> {
    try {
      while (this.#waiting.length > 0 && this.#client === client) {
        const now = this.#waiting.splice(0);
        await client.query(
          'SELECT pg_notify(channel, payload) FROM unnest($1::text[], $2::text[]) AS told (channel, payload)',
          [now.map(([channel]) => channel), now.map(([, payload]) => payload)],
        );
      }
    } catch {
      this.#lost(client);
    }
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
    // What was not told is told neither now nor later.
    this.#waiting = [];
    end(client);
    this.listeners.onLost?.();
    this.log.warn('The connection that listens to the database was lost; connecting again.');
    this.#retry();
  }

  /** Each pause is up to twice as long as the one before, with chance in it, so that copies do not come all at once. */
  #retry(): void {
    const most = Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** this.#failures);
    this.#failures += 1;
    this.#later(most / 2 + (most / 2) * this.random(), async () => {
      try {
        await this.open();
        this.listeners.onBack();
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
