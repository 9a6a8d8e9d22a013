import type { Duplex } from 'node:stream';
import { Problem, problemJson } from '../problem/problem.ts';

/** Answers what is no HTTP request, or one whose head is too large, as a problem, and closes the connection. */
export function answerMalformed(error: NodeJS.ErrnoException, socket: Duplex): void {
  socket.on('error', () => socket.destroy());
  if (!socket.writable || error.code === 'ECONNRESET') {
    socket.destroy();
    return;
  }
  const problem =
    error.code === 'HPE_HEADER_OVERFLOW'
      ? new Problem(431, 'Too large', 'The head of the request is too large. Nothing was changed.')
      : new Problem(400, 'Not a request', 'This is not a readable HTTP request. Nothing was changed.');
  const body = problemJson(problem);
  socket.end(
    `HTTP/1.1 ${problem.status} ${problem.title}\r\nContent-Type: application/problem+json; charset=utf-8\r\n` +
      `Content-Length: ${Buffer.byteLength(body)}\r\nConnection: close\r\n\r\n${body}`,
  );
}
