import { z } from 'zod';

/** What Rehearse is asked to show by whoever leads there: a program in front, a device in the tray. */
const askedSchema = z.object({ program: z.string().nullable(), device: z.string() });
export type Asked = z.infer<typeof askedSchema>;

/** What was asked for; null where nothing was, or where a page of another version left something else. */
export function readAsked(state: unknown): Asked | null {
  return askedSchema.safeParse(state).data ?? null;
}
