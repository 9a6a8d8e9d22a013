import { issueWords } from '@nimble-lever/core/words/issues';
import type { Logger } from 'pino';
import { z } from 'zod';
import { isAway } from '../store/database.ts';

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

/** The same as plain data, for another thread. */
export type ProblemParts = Pick<Problem, 'status' | 'title' | 'detail' | 'facts'>;

/** A problem without being an error, so that it can be sent. */
export function problemParts({ status, title, detail, facts }: Problem): ProblemParts {
  return { status, title, detail, facts };
}

/** Input that does not fit its schema; each place is named. */
function inputProblem(error: z.ZodError, under: readonly PropertyKey[]): Problem {
  const wrong = error.issues.slice(0, 20).map((issue) => ({
    path: [...under, ...issue.path].join('.'),
    message: issueWords(issue),
  }));
  const first = wrong[0];
  const detail = `${first?.path ? `${first.path}: ` : ''}${first?.message ?? ''} Nothing was changed.`;
  return new Problem(400, 'The request is not as it should be', detail, { wrong });
}

/** Checks input against a schema; a misfit is a problem. `under` is where the input stands in the request. */
export function readInput<Schema extends z.ZodType>(
  schema: Schema,
  input: unknown,
  under: readonly PropertyKey[] = [],
): z.infer<Schema> {
  const parsed = schema.safeParse(input);
  if (!parsed.success) throw inputProblem(parsed.error, under);
  return parsed.data;
}

/** Logs what the operator should know: an outage in a line, what nobody expected with all there is. */
export function logProblem(log: Logger, problem: Problem, error: unknown): void {
  if (problem.status === 500) log.error({ err: error }, problem.title);
  else if (problem.status > 500) log.warn(problem.title);
}

/** RFC 9457, section 3. */
export const PROBLEM_TYPE = 'application/problem+json; charset=utf-8';

/** A problem as the body of an answer. */
export function problemJson({ status, title, detail, facts }: Problem): string {
  return JSON.stringify({ type: 'about:blank', title, status, detail, ...facts });
}

/** Any error as a problem. What is not known is told without its inside. */
export function toProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  const { code, type, status } = z
    .looseObject({ code: z.string().optional(), type: z.string().optional(), status: z.number().optional() })
    .catch({})
    .parse(error ?? {});
  if (type === 'entity.too.large') {
    return new Problem(
      413,
      'Too large',
      'The request is larger than 2 MB. Nothing was changed; send less at once, or a smaller picture.',
    );
  }
  if (type === 'entity.parse.failed') {
    return new Problem(400, 'Not JSON', 'The request is not readable JSON. Nothing was changed.');
  }
  if (status === 404) return new Problem(404, 'Not here', 'There is nothing at this address.');
  if (status !== undefined && status >= 400 && status < 500) {
    return new Problem(
      status,
      'The request is not as it should be',
      'The request could not be read. Nothing was changed.',
    );
  }
  if (code === '53100') {
    const detail =
      'The disk that the database is on is full. Nothing was changed; edits stay in the page and are sent again when there is room.';
    return new Problem(503, 'The disk is full', detail);
  }
  if (isAway(error)) return databaseProblem();
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
