import type { CookieOptions } from 'express';

/** Browsers keep none for longer than 400 days, whatever is asked (RFC 6265bis, 5.5). */
const YEAR_MS = 365 * 24 * 3600 * 1000;

/** A cookie by its name, as a request carries it; null where it does not. */
export function cookieOf(header: string | undefined, name: string): string | null {
  const given = (header ?? '')
    .split(';')
    .map((part) => part.trim())
    .find((part) => part.startsWith(`${name}=`));
  return given === undefined ? null : given.slice(name.length + 1);
}

/** How cookies are kept that let a browser in: no script reads them, no other site sends them. */
export function lastingCookie(isEncrypted: boolean): CookieOptions {
  return { httpOnly: true, sameSite: 'strict', maxAge: YEAR_MS, path: '/', secure: isEncrypted };
}
