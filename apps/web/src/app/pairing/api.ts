import {
  type PairingCode,
  pairingCodeSchema,
  type Reached,
  type Rights,
  reachedSchema,
} from '@nimble-lever/core/desks';
import type { z } from 'zod';

const CODES = '/api/pairings/codes';

/** Asks the server and reads what it answers; throws where it does not answer so. */
export async function asked<Schema extends z.ZodType>(
  schema: Schema,
  path: string,
  init: RequestInit = {},
): Promise<z.infer<Schema>> {
  const response = await fetch(path, init);
  if (!response.ok) throw new Error(`The server answers ${response.status}.`);
  return schema.parse(await response.json());
}

/** How the server is reached from other devices. */
export const readReached = (signal: AbortSignal): Promise<Reached> =>
  asked(reachedSchema, '/api/reached', { signal });

/** Has a code made that gives some rights. */
export const makeCode = (rights: Rights): Promise<PairingCode> =>
  asked(pairingCodeSchema, CODES, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(rights),
  });

/** How a code stands. */
export const readCode = (id: string): Promise<PairingCode> => asked(pairingCodeSchema, `${CODES}/${id}`);

/** Lets nobody in by a code any more. */
export const withdrawCode = (id: string): void =>
  // If it does not go through, it runs out by itself.
  void fetch(`${CODES}/${id}`, { method: 'DELETE' }).catch(() => undefined);
