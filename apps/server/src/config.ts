import { z } from 'zod';

/**
 * The environment of the server. Every variable has a default that is safe on a person's own computer, except
 * the database, which is never guessed.
 */
const configSchema = z.object({
  DATABASE_URL: z.string().min(1),
  PORT: z.coerce.number().int().min(0).max(65_535).default(4680),
  /** Loopback unless told otherwise. */
  HOST: z.string().default('127.0.0.1'),
  /** Further host names, separated by commas, under which pages may be opened. */
  ALLOWED_HOSTS: z.string().default(''),
  /** Tells one running copy from another; the start command uses it to know its own server. */
  INSTANCE: z.string().max(100).default(''),
  /** Where the built page is; empty serves the API alone. */
  WEB_DIST: z.string().default(''),
  /** `key`: only who opened the address with the secret gets in. */
  ACCESS: z.enum(['open', 'key']).default('open'),
  /** The secret; one is made where there is none. */
  ACCESS_KEY: z.string().max(200).default(''),
  /** Files in PEM: a certificate (with those that vouch for it) and its private key; both, or none. */
  TLS_CERT: z.string().default(''),
  TLS_KEY: z.string().default(''),
  /** How long the database may take over one query: milliseconds. */
  QUERY_LIMIT_MS: z.coerce.number().int().min(100).max(600_000).default(10_000),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent']).default('info'),
});
/** The settings of one server process, read from its environment. */
export type Config = z.infer<typeof configSchema>;

/** Reads the configuration from environment variables; names the ones that are wrong. */
export function readConfig(environment: NodeJS.ProcessEnv): Config {
  const parsed = configSchema.safeParse(environment);
  if (parsed.success) {
    const { TLS_CERT, TLS_KEY } = parsed.data;
    if ((TLS_CERT === '') === (TLS_KEY === '')) return parsed.data;
    throw new Error('The environment is not as it should be: TLS_CERT and TLS_KEY go together.');
  }
  const wrong = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  throw new Error(`The environment is not as it should be: ${wrong.join('; ')}`);
}
