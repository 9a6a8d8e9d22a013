import { type Entry, type LogEntry, logEntrySchema, setupSchema } from '@nimble-lever/core/setup';
import { z } from 'zod';

const listSchema = z.array(z.object({ id: z.string(), name: z.string(), revision: z.number() }));
const storedSchema = z.object({
  id: z.string(),
  revision: z.number(),
  setup: setupSchema,
  log: z.array(logEntrySchema),
});
const savedSchema = z.object({ revision: z.number(), entries: z.array(logEntrySchema) });
const problemSchema = z.looseObject({
  title: z.string(),
  detail: z.string(),
  entry: z.string().optional(),
  missed: z.array(logEntrySchema).optional(),
});
export const newsSchema = z.object({ kind: z.literal('edits'), entries: z.array(logEntrySchema) });

export type Stored = z.infer<typeof storedSchema>;

/** What the server made of edits: saved; behind (here is what was missed); refused; or not to be reached. */
export type SendOutcome =
  | { readonly kind: 'saved' | 'behind'; readonly entries: readonly LogEntry[] }
  | { readonly kind: 'refused'; readonly entry: string | null; readonly detail: string }
  | { readonly kind: 'away'; readonly detail: string };

const AWAY = 'The server does not answer.';

/** Reads the first set-up of the server. Throws an error whose message can be shown. */
export async function readFirstSetUp(): Promise<Stored> {
  const [first] = listSchema.parse(await getJson('/api/set-ups'));
  if (!first) throw new Error('The server has no set-up.');
  return storedSchema.parse(await getJson(`/api/set-ups/${first.id}`));
}

async function getJson(url: string): Promise<unknown> {
  const response = await fetch(url).catch(() => {
    throw new Error(AWAY);
  });
  const body: unknown = await response.json().catch(() => null);
  if (response.ok) return body;
  throw new Error(problemSchema.safeParse(body).data?.detail ?? AWAY);
}

/** Sends entries made on top of a revision. */
export async function sendEntries(
  setUp: string,
  base: number,
  entries: readonly Entry[],
): Promise<SendOutcome> {
  const sent = entries.map(({ id, edit, role, of }) => ({ id, edit, role, of }));
  try {
    const response = await fetch(`/api/set-ups/${setUp}/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ base, entries: sent }),
    });
    const body: unknown = await response.json();
    if (response.ok) return { kind: 'saved', entries: savedSchema.parse(body).entries };
    const problem = problemSchema.parse(body);
    if (response.status === 409) return { kind: 'behind', entries: problem.missed ?? [] };
    if (response.status < 500)
      return { kind: 'refused', entry: problem.entry ?? null, detail: problem.detail };
    return { kind: 'away', detail: problem.detail };
  } catch {
    return { kind: 'away', detail: AWAY };
  }
}
