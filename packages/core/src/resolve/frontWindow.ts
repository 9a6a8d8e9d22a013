import { z } from 'zod';

const text = z.string().max(1000);

/** A program's window, as the desk reports it. */
export const frontWindowSchema = z.strictObject({ executable: text, class: text, title: text });
export type FrontWindow = z.infer<typeof frontWindowSchema>;
