import pg from 'pg';
import type { Logger } from 'pino';
import { EDITS_CHANNEL } from '../store/setupStore.ts';

const RETRY_MS = 1000;

/**
 * Listens for new revisions on a connection of its own, and connects again when it is lost.
 * `onEdits` gets the set-up's id, or null when some may have been missed.
 */
export class EditListener {
  #client: pg.Client | null = null;
  #retry: NodeJS.Timeout | null = null;
  #closed = false;

  constructor(
    private readonly url: string,
    private readonly onEdits: (setUp: string | null) => void,
    private readonly log: Logger,
  ) {}

  /** Connects; resolves when listening. */
  async open(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    client.on('error', () => this.#lost(client));
    client.on('end', () => this.#lost(client));
    client.on('notification', ({ payload }) => this.onEdits(payload ?? null));
    this.#client = client;
    await client.connect();
    await client.query(`LISTEN ${EDITS_CHANNEL}`);
  }

  async close(): Promise<void> {
    this.#closed = true;
    if (this.#retry) clearTimeout(this.#retry);
    await this.#client?.end().catch(() => undefined);
  }

  #lost(client: pg.Client): void {
    if (this.#closed || this.#client !== client) return;
    this.#client = null;
    this.log.warn('The connection that listens for edits was lost; connecting again.');
    this.#again();
  }

  #again(): void {
    this.#retry = setTimeout(async () => {
      try {
        await this.open();
        this.onEdits(null);
      } catch {
        if (!this.#closed) this.#again();
      }
    }, RETRY_MS);
  }
}
