import { z } from 'zod';

/** How a server is reached from other devices, as it tells its own pages. */
export const reachedSchema = z.object({
  /** Only this computer reaches it, or the network does. */
  listens: z.enum(['loopback', 'network']),
  /** Where others open it: without a path. */
  addresses: z.array(z.string()),
  /** The addresses that this computer has in its networks, whether the server answers to them or not. */
  own: z.array(z.string()),
  port: z.int(),
  /** Who opens it from elsewhere needs the key. */
  asksForKey: z.boolean(),
});
/** How a server is reached from other devices. */
export type Reached = z.infer<typeof reachedSchema>;
