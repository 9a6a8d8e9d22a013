import { z } from 'zod';

/** How a server is reached from other devices, as it tells its own pages. */
export const reachedSchema = z.object({
  /** Only this computer reaches it, or the network does. */
  listens: z.enum(['loopback', 'network']),
  /** Where others open it: without a path. */
  addresses: z.array(z.string()),
  port: z.int(),
  /** Whether the connection is encrypted, as browsers want it to keep a page and to stay awake. */
  isEncrypted: z.boolean(),
});
/** How a server is reached from other devices. */
export type Reached = z.infer<typeof reachedSchema>;
