import type { Refusal } from '@nimble-lever/core/setup';
import { issueWords, refusalWords } from '@nimble-lever/core/words';
import type { NextFunction, Request, Response } from 'express';
import type { Logger } from 'pino';
import { z } from 'zod';

/** A problem as RFC 9457 has it, with what the page needs to mend it. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly facts: Readonly<Record<string, unknown>> = {},
  ) {
    super(detail);
  }
}

/** The database could not be reached or answered with an error of its own. */
const DATABASE_CODES = /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|57P0\d|08\d{3}|53\d{3})$/;

/** Refusal of an edit, in words and with its facts. */
export function refusalProblem(entry: string, refusal: Refusal): Problem {
  return new Problem(422, 'The edit was refused', `${refusalWords(refusal)} Nothing was changed.`, {
    entry,
    refusal,
  });
}

/** Input that does not fit its schema; each place is named. */
export function inputProblem(error: z.ZodError): Problem {
  const wrong = error.issues.slice(0, 20).map((issue) => ({
    path: issue.path.join('.'),
    message: issueWords(issue),
  }));
  const first = wrong[0];
  const detail = `${first?.path ? `${first.path}: ` : ''}${first?.message ?? ''} Nothing was changed.`;
  return new Problem(400, 'The request is not as it should be', detail, { wrong });
}

/** Checks input against a schema; a misfit is a problem. */
export function readInput<Schema extends z.ZodType>(schema: Schema, input: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(input);
  if (!parsed.success) throw inputProblem(parsed.error);
  return parsed.data;
}

/** Answers every error as problem details; what is not a known problem is logged and told without its inside. */
export function answerProblems(log: Logger) {
  return (error: unknown, _request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const problem = toProblem(error);
    if (problem.status >= 500) log.error({ err: error }, problem.title);
    const { status, title, detail, facts } = problem;
    response.status(status).type('application/problem+json');
    response.send(JSON.stringify({ type: 'about:blank', title, status, detail, ...facts }));
  };
}

function toProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const { code, type, status } = z
    .looseObject({ code: z.string().optional(), type: z.string().optional(), status: z.number().optional() })
    .catch({})
    .parse(error ?? {});
  if (type === 'entity.too.large') {
    return new Problem(
      413,
      'Too large',
      'The request is larger than 2 MB. Nothing was changed; send less at once.',
    );
  }
  if (type === 'entity.parse.failed') {
    return new Problem(400, 'Not JSON', 'The request is not readable JSON. Nothing was changed.');
  }
  if (status !== undefined && status >= 400 && status < 500) {
    return new Problem(
      status,
      'The request is not as it should be',
      'The request could not be read. Nothing was changed.',
    );
  }
  if (code && DATABASE_CODES.test(code)) return databaseProblem();
  if (
    error instanceof Error &&
    /timeout exceeded when trying to connect|Connection terminated/.test(error.message)
  ) {
    return databaseProblem();
  }
  return new Problem(
    500,
    'Something went wrong here',
    'The server met an error it did not expect. Nothing was changed; try again.',
  );
}

/** The database is away. */
export function databaseProblem(facts: Readonly<Record<string, unknown>> = {}): Problem {
  const detail =
    'The database does not answer. Nothing was changed; edits stay in the page and are sent again.';
  return new Problem(503, 'The database does not answer', detail, facts);
}
