import { z } from 'zod';
import { idSchema, nameSchema } from '../devices/index.ts';

/** How long a code is good: seconds. */
export const CODE_SECONDS = 120;

/** What a browser may do here: everything, or show the pages of one panel and send its presses. */
export const rightsSchema = z.discriminatedUnion('may', [
  z.strictObject({ may: z.literal('everything') }),
  z.strictObject({ may: z.literal('panel'), setUp: idSchema, device: idSchema }),
]);
/** What a browser may do here. */
export type Rights = z.infer<typeof rightsSchema>;

/** A code as a person types it: six digits, with spaces between them or none. */
const digitsSchema = z
  .string()
  .max(20)
  .transform((text) => text.replace(/\s/g, ''))
  .pipe(z.string().regex(/^[0-9]{6}$/, { error: 'A code is six digits.' }));

/** What a browser sends that has been given a code. */
export const pairSchema = z.strictObject({ code: digitsSchema, name: nameSchema });
/** What became of that. */
export const pairAnswerSchema = z.object({ rights: rightsSchema });

/** A code that was made, for as long as it is shown. */
export const pairingCodeSchema = z.object({
  id: z.uuid(),
  code: z.string(),
  /** How long it is still good: seconds; 0 when it is good no more. */
  seconds: z.number().min(0),
  /** How many wrong codes were typed while it was good. */
  wrong: z.int().min(0),
  /** The browser it was used by; null while it was not. */
  pairedWith: z.string().nullable(),
});
/** A code that was made. */
export type PairingCode = z.infer<typeof pairingCodeSchema>;

/** A browser that was paired, as Settings lists it. */
export const pairedBrowserSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  rights: rightsSchema,
  /** ISO 8601. */
  pairedAt: z.string(),
  seenAt: z.string(),
  /** It is the one that asks. */
  isSelf: z.boolean(),
});
/** A browser that was paired. */
export type PairedBrowser = z.infer<typeof pairedBrowserSchema>;
export const pairedListSchema = z.array(pairedBrowserSchema);

/** Who asks, as the server takes it. */
export const visitorSchema = z.object({
  rights: rightsSchema,
  /** It came in by pairing, not as a page of this computer. */
  isPaired: z.boolean(),
});
