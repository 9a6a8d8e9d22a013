import type { IncomingMessage } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problem/problem.ts';

/**
 * Names under which a browser on the same computer reaches a loopback server. Any other name in `Host` is how
 * a strange page would reach it through DNS (DNS rebinding), and is refused.
 */
const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/**
 * Whether a request names this server as its host and, where it comes from a page, that page is ours. Keeps
 * out pages of other sites, also those that point a name of their own at this computer (DNS rebinding).
 */
export function isAllowed(request: IncomingMessage, furtherHosts: readonly string[]): boolean {
  const { host, origin } = request.headers;
  const names = [...LOOPBACK, ...furtherHosts];
  if (host === undefined || !names.includes(hostName(host))) return false;
  return origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
}

/** The Host header without its port, in small letters (RFC 9110, 4.2.3). */
function hostName(host: string): string {
  return host.replace(/:\d+$/, '').toLowerCase();
}

/** Refuses requests that `isAllowed` does not let in. */
export function guard(furtherHosts: readonly string[]) {
  return (request: Request, _response: Response, next: NextFunction): void => {
    if (isAllowed(request, furtherHosts)) next();
    else next(new Problem(403, 'Not from here', WORDS));
  };
}

/** Said to whoever is refused. It names no rule, so that it helps a person and not a stranger. */
const WORDS = 'This server answers only to its own pages, under its own address.';
