import { z } from 'zod';

/** Titles of windows are input from outside, and as long as a web page likes. */
const text = z.string().max(1000);

/** A program's window, as the desk reports it. */
export const frontWindowSchema = z.strictObject({ executable: text, class: text, title: text });
/** What is known of the window in front. */
export type FrontWindow = z.infer<typeof frontWindowSchema>;
