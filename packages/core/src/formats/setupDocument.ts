import { z } from 'zod';
import { ok, type Result, refuse } from '../result.ts';
import { checkSetup, type Setup, setupSchema } from '../setup/index.ts';
import { type FormatProblem, pathText } from './problem.ts';

/** A set-up as a file: `{ "format": "nimble-lever/set-up", "version": 1, "setup": … }`. */
export const setupDocumentSchema = z.strictObject({
  format: z.literal('nimble-lever/set-up'),
  version: z.literal(1),
  setup: setupSchema,
});

/** The longest document taken, in characters. */
export const DOCUMENT_LIMIT = 50_000_000;

/** Reads a set-up document; what is wrong with it comes with its path, at most 50 things. */
export function readSetupDocument(text: string): Result<Setup, readonly FormatProblem[]> {
  const nowhere = { line: null, path: '' };
  if (text.length > DOCUMENT_LIMIT) {
    return refuse([{ ...nowhere, what: { kind: 'too-large', limit: DOCUMENT_LIMIT } }]);
  }
  const json = parseJson(text);
  if (json === undefined) return refuse([{ ...nowhere, what: { kind: 'not-json' } }]);
  const parsed = setupDocumentSchema.safeParse(json);
  if (!parsed.success) {
    const issues = parsed.error.issues.slice(0, 50);
    return refuse(
      issues.map((issue) => ({ line: null, path: pathText(issue.path), what: { kind: 'issue', issue } })),
    );
  }
  const { setup } = parsed.data;
  const refusals = checkSetup(setup).slice(0, 50);
  if (refusals.length === 0) return ok(setup);
  return refuse(
    refusals.map((refusal) => ({ line: null, path: 'setup', what: { kind: 'refusal', refusal } })),
  );
}

/** Writes a set-up as a document, two spaces to a level. */
export function writeSetupDocument(setup: Setup): string {
  const document: z.infer<typeof setupDocumentSchema> = { format: 'nimble-lever/set-up', version: 1, setup };
  return `${JSON.stringify(document, null, 2)}\n`;
}

/** A JSON value, or undefined where the text is none. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
