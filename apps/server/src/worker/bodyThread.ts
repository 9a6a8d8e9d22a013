import { parentPort } from 'node:worker_threads';
import { problemParts, toProblem } from '../problem/problem.ts';
import type { BodyAnswer, BodyAsk } from './bodyReader.ts';
import { readAppend } from './readAppend.ts';

// Reads large bodies, so that the thread that keeps the set-ups answers others meanwhile.
parentPort?.on('message', ({ seq, body }: BodyAsk) => {
  const say = (answer: BodyAnswer) => parentPort?.postMessage(answer);
  try {
    say({ seq, read: readAppend(body) });
  } catch (error) {
    say({ seq, problem: problemParts(toProblem(error)) });
  }
});
