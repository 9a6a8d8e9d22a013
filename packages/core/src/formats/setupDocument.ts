import { z } from 'zod';
import { ok, type Result, refuse } from '../result.ts';
import { setupWithIds } from '../setup/edits/version1/index.ts';
import { checkSetup, type Setup, setupSchema } from '../setup/index.ts';
import { type FormatProblem, pathText } from './problem.ts';

/** The version that is written. Version 1 had no ids on rules, steps and items of radial menus. */
export const SETUP_VERSION = 2;

/** A set-up as a file: `{ "format": "nimble-lever/set-up", "version": 2, "setup": … }`. */
export const setupDocumentSchema = z.strictObject({
  format: z.literal('nimble-lever/set-up'),
  version: z.literal(SETUP_VERSION),
  setup: setupSchema,
});

const headSchema = z.looseObject({ format: z.literal('nimble-lever/set-up'), version: z.int().min(1) });

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
  const head = headSchema.safeParse(json);
  if (head.success && head.data.version > SETUP_VERSION) {
    const { version } = head.data;
    return refuse([{ ...nowhere, path: 'version', what: { kind: 'newer', version, known: SETUP_VERSION } }]);
  }
  const parsed = setupDocumentSchema.safeParse(head.success ? upToDate(head.data) : json);
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

/** A document of an older version as the newest has it. */
function upToDate(document: z.infer<typeof headSchema>): unknown {
  if (document.version !== 1) return document;
  return { ...document, version: SETUP_VERSION, setup: setupWithIds(document.setup) };
}

/** Writes a set-up as a document, two spaces to a level. */
export function writeSetupDocument(setup: Setup): string {
  const document: z.infer<typeof setupDocumentSchema> = {
    format: 'nimble-lever/set-up',
    version: SETUP_VERSION,
    setup,
  };
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
