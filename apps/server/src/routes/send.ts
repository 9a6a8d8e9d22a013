import type { Response } from 'express';
import { PROBLEM_TYPE } from '../problem/problem.ts';
import type { Answer } from '../worker/messages.ts';

/** What an answer holds, and how long a browser may keep it. A picture never changes: its address is its content. */
const HOLDS = {
  json: { type: 'application/json; charset=utf-8', cache: 'no-store' },
  file: { type: 'application/json; charset=utf-8', cache: 'no-store' },
  // Never shown as a page, whatever it looks like: it is saved.
  text: { type: 'text/plain; charset=utf-8', cache: 'no-store' },
  picture: { type: 'image/webp', cache: 'private, max-age=31536000, immutable' },
} satisfies Record<Answer['holds'], { readonly type: string; readonly cache: string }>;

/** Passes an answer of the worker on. */
export function send(response: Response, { status, holds, body }: Answer): void {
  const { type, cache } = HOLDS[holds];
  const good = status < 400;
  response.writeHead(status, {
    'Content-Type': good ? type : PROBLEM_TYPE,
    'Content-Length': body.byteLength,
    'Cache-Control': good ? cache : 'no-store',
    ...(good && (holds === 'file' || holds === 'text') && { 'Content-Disposition': 'attachment' }),
  });
  response.end(body);
}

/** What was sent, as bytes that may go to another thread; none where nothing was. */
export function sentBytes(body: unknown): Uint8Array {
  return Buffer.isBuffer(body) ? new Uint8Array(body) : new Uint8Array();
}
