import type { NextFunction, Request, Response } from 'express';
import type { Logger } from 'pino';
import { logProblem, PROBLEM_TYPE, problemJson, toProblem } from '../problem/problem.ts';

/** Answers every error as problem details; what is not a known problem is logged and told without its inside. */
export function answerProblems(log: Logger) {
  return (error: unknown, _request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = toProblem(error);
    logProblem(log, problem, error);
    response.status(problem.status).type(PROBLEM_TYPE).send(problemJson(problem));
  };
}
