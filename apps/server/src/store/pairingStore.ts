import { randomInt, randomUUID } from 'node:crypto';
import {
  CODE_SECONDS,
  type PairedBrowser,
  type PairingCode,
  type Rights,
  rightsSchema,
} from '@nimble-lever/core/desks';
import type { Pool } from 'pg';
import { z } from 'zod';
import { inTransaction } from './database.ts';

/** Where the database tells every server that a paired browser is one no more: its id. */
export const FORGOTTEN_CHANNEL = 'nimble_lever_forgotten';
/** That a browser was seen is written at most so often: seconds. */
const SEEN_SECONDS = 30;

/** A paired browser, as its requests are taken. */
export interface Paired {
  readonly id: string;
  readonly rights: Rights;
}

/** What came of a try to pair. */
export type PairOutcome =
  | { readonly kind: 'paired'; readonly rights: Rights }
  /** No code that is good now is this one. */
  | { readonly kind: 'wrong' };

/** What the database keeps of rights; of a later version, none can be granted. */
const rowsOf = <Row extends z.ZodRawShape>(row: Row) => z.array(z.object({ ...row, rights: rightsSchema }));
const codeRows = rowsOf({ id: z.string(), code: z.string() });
const pairedRows = rowsOf({ id: z.string(), name: z.string(), paired_at: z.date(), seen_at: z.date() });
const seenRows = rowsOf({ id: z.string() });

/** Codes and the browsers they let in. Of a browser's secret only the hash is kept. */
export class PairingStore {
  constructor(
    private readonly pool: Pool,
    /** A code of six digits, by chance that nobody can guess. */
    private readonly newCode: () => string = () => String(randomInt(1_000_000)).padStart(6, '0'),
  ) {}

  /** Makes a code that gives some rights, once and for two minutes. */
  async makeCode(rights: Rights): Promise<PairingCode> {
    const id = randomUUID();
    const code = this.newCode();
    // Those that are long over are of no use to anybody.
    await this.pool.query(`DELETE FROM pairing_codes WHERE good_until < now() - interval '1 hour'`);
    await this.pool.query(
      `INSERT INTO pairing_codes (id, code, rights, tries, good_until)
        VALUES ($1, $2, $3, 0, now() + make_interval(secs => ${CODE_SECONDS}))`,
      [id, code, rights],
    );
    return { id, code, seconds: CODE_SECONDS, wrong: 0, pairedWith: null };
  }

  /** How a code stands; null where there is none of that id. */
  async code(id: string): Promise<PairingCode | null> {
    const { rows } = await this.pool.query(
      `SELECT id, code, greatest(0, extract(epoch FROM good_until - now()))::float8 AS seconds,
          tries AS wrong, paired_with AS "pairedWith"
        FROM pairing_codes WHERE id = $1`,
      [id],
    );
    return (rows[0] as PairingCode | undefined) ?? null;
  }

  /** From now on a code lets nobody in. */
  async withdraw(id: string): Promise<void> {
    await this.pool.query('UPDATE pairing_codes SET good_until = least(good_until, now()) WHERE id = $1', [
      id,
    ]);
  }

  /**
   * Tries a code for a browser. A wrong one is noted at every code that is good now, since nobody knows which was meant:
   * who shows one is told. `token` is the hash of the browser's new secret; what it had before, by `before`, is replaced.
   */
  async pair(code: string, name: string, token: string, before: string | null): Promise<PairOutcome> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      // Locked: of many tries at once each counts before the next is looked at.
      const { rows } = await client.query(
        `SELECT id, code, rights FROM pairing_codes
          WHERE good_until > now() AND paired_with IS NULL ORDER BY id FOR UPDATE`,
      );
      const good = codeRows.parse(rows);
      const met = good.find((each) => each.code === code);
      if (!met) {
        await client.query('UPDATE pairing_codes SET tries = tries + 1 WHERE id = ANY($1)', [
          good.map(({ id }) => id),
        ]);
        return { kind: 'wrong' };
      }
      await client.query('UPDATE pairing_codes SET paired_with = $2 WHERE id = $1', [met.id, name]);
      const { rows: gone } = await client.query('DELETE FROM paired_browsers WHERE token = $1 RETURNING id', [
        before,
      ]);
      for (const { id } of gone as { id: string }[]) await tellForgotten(client, id);
      await client.query(
        `INSERT INTO paired_browsers (id, token, name, rights, paired_at, seen_at)
          VALUES ($1, $2, $3, $4, now(), now())`,
        [randomUUID(), token, name, met.rights],
      );
      return { kind: 'paired', rights: met.rights };
    });
  }

  /** The browser with a secret, by its hash, which is seen with that; null where it is none of ours. */
  async seen(token: string): Promise<Paired | null> {
    await this.pool.query(
      `UPDATE paired_browsers SET seen_at = now()
        WHERE token = $1 AND seen_at < now() - make_interval(secs => ${SEEN_SECONDS})`,
      [token],
    );
    const { rows } = await this.pool.query('SELECT id, rights FROM paired_browsers WHERE token = $1', [
      token,
    ]);
    return seenRows.parse(rows)[0] ?? null;
  }

  /** All paired browsers, who was seen last first; `own` is the one that asks. */
  async list(own: string | null): Promise<readonly PairedBrowser[]> {
    const { rows } = await this.pool.query(
      'SELECT id, name, rights, paired_at, seen_at FROM paired_browsers ORDER BY seen_at DESC, id',
    );
    return pairedRows.parse(rows).map(({ id, name, rights, paired_at, seen_at }) => ({
      id,
      name,
      rights,
      pairedAt: paired_at.toISOString(),
      seenAt: seen_at.toISOString(),
      isSelf: id === own,
    }));
  }

  /** Lets a browser in no more, and tells every server; says whether there was one. */
  async forget(id: string): Promise<boolean> {
    return inTransaction(this.pool, 'BEGIN', async (client) => {
      const { rowCount } = await client.query('DELETE FROM paired_browsers WHERE id = $1', [id]);
      await tellForgotten(client, id);
      return (rowCount ?? 0) > 0;
    });
  }
}

/** Told when the transaction is committed, and only then. */
async function tellForgotten(client: { query(text: string, values: unknown[]): unknown }, id: string) {
  await client.query('SELECT pg_notify($1, $2)', [FORGOTTEN_CHANNEL, id]);
}
