import type { Rights } from '@nimble-lever/core/desks';
import type { NextFunction, Request, Response } from 'express';
import { Problem } from '../problem/problem.ts';
import type { Visitor } from './access.ts';

/** What the page of one panel is made of, besides its own address. */
const OF_ANY_PANEL: readonly RegExp[] = [
  /^\/api\/visitor$/,
  // By the SHA-256 of what is in it: only who was shown it knows that.
  /^\/api\/pictures\/[0-9a-f]{64}$/,
  /^\/panel\/worker\.js$/,
];

/** Whether a request may be made with some rights. */
export function mayAsk(rights: Rights, method: string, path: string): boolean {
  switch (rights.may) {
    case 'everything':
      return true;
    case 'panel':
      return (
        method === 'GET' &&
        (ofPanel(rights.device).includes(path) || OF_ANY_PANEL.some((each) => each.test(path)))
      );
  }
}

/** The addresses of a panel in use: the page, and what installs it. */
function ofPanel(device: string): readonly string[] {
  return [`/panel/${device}`, `/panel/${device}/app.webmanifest`];
}

/** Holds everybody to their rights. A page that is opened beyond them becomes the one that may be. */
export function keepToRights(request: Request, response: Response, next: NextFunction): void {
  const { rights } = visitorOf(response);
  // Mounted or not, the path is that of the whole address.
  const path = `${request.baseUrl}${request.path}`.replace(/(.)\/$/, '$1');
  if (mayAsk(rights, request.method, path)) next();
  else if (rights.may === 'panel' && request.method === 'GET' && !path.startsWith('/api')) {
    response.redirect(303, `/panel/${rights.device}`);
  } else next(new Problem(403, 'Not with these rights', WORDS));
}

/** Who sends the request that is answered: known once it was let in. */
export function visitorOf(response: Response): Visitor {
  return (response.locals as { readonly visitor: Visitor }).visitor;
}

const WORDS =
  'This browser was paired to show one panel, and nothing else. Pair it anew where it should do more. Nothing was changed.';
