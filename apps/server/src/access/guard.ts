import type { IncomingMessage } from 'node:http';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problem/problem.ts';
import type { Hosts } from './hosts.ts';

/**
 * Whether a request names this server as its host and, where it comes from a page, that page is ours. Keeps
 * out pages of other sites, also those that point a name of their own at this computer (DNS rebinding).
 */
export function isAllowed(request: IncomingMessage, hosts: Hosts): boolean {
  const { host, origin } = request.headers;
  if (host === undefined || !hosts.answersTo(host)) return false;
  return origin === undefined || origin === `http://${host}` || origin === `https://${host}`;
}

/** Refuses requests that `isAllowed` does not let in. */
export function guard(hosts: Hosts) {
  return (request: Request, _response: Response, next: NextFunction): void => {
    if (isAllowed(request, hosts)) next();
    else next(new Problem(403, 'Not from here', WORDS));
  };
}

/** Said to whoever is refused. It names no rule, so that it helps a person and not a stranger. */
const WORDS = 'This server answers only to its own pages, under its own address.';
