import { readFileSync } from 'node:fs';
import { createSecureContext } from 'node:tls';
import type { Config } from '../config.ts';

/** A certificate and its key, as HTTPS takes them. */
export interface Encryption {
  readonly cert: Buffer;
  readonly key: Buffer;
}

/** The certificate that the environment names was not usable; the message says why and what to do. */
export class UnusableCertificate extends Error {}

/** What the server encrypts with; null where it does not. Throws `UnusableCertificate`. */
export function encryption({ TLS_CERT, TLS_KEY }: Pick<Config, 'TLS_CERT' | 'TLS_KEY'>): Encryption | null {
  if (TLS_CERT === '') return null;
  const cert = read('TLS_CERT', TLS_CERT);
  const key = read('TLS_KEY', TLS_KEY);
  try {
    createSecureContext({ cert, key });
  } catch {
    throw new UnusableCertificate(
      'TLS_CERT and TLS_KEY are no certificate in PEM with the private key that belongs to it (without a password). Correct them, or leave both out.',
    );
  }
  return { cert, key };
}

function read(name: string, file: string): Buffer {
  try {
    return readFileSync(file);
  } catch {
    throw new UnusableCertificate(
      `${name} names a file that cannot be read: ${file}. Correct it, or leave both TLS_CERT and TLS_KEY out.`,
    );
  }
}
