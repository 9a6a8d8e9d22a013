import { z } from 'zod';
import { ok, type Result, refuse } from '../result.ts';
import { setupWithIds } from '../setup/edits/version1/index.ts';
import { findFaults, type Setup, setupSchema } from '../setup/index.ts';
import { issuePath } from './issuePath.ts';
import { readJson } from './jsonText.ts';
import type { FormatProblem, JsonPath } from './problem.ts';

/**
 * The version that is written. Version 1 had no ids on rules, steps and items of radial menus; up to version 2 shortcuts
 * were places of a United States keyboard, which are read as the characters it has there.
 */
export const SETUP_VERSION = 3;

/** A set-up as a file: `{ "format": "nimble-lever/set-up", "version": 3, "setup": … }`. */
export const setupDocumentSchema = z.strictObject({
  format: z.literal('nimble-lever/set-up'),
  version: z.literal(SETUP_VERSION),
  setup: setupSchema,
});

/** Read first: a newer version is refused in words before anything of it is misread. */
const headSchema = z.looseObject({ format: z.literal('nimble-lever/set-up'), version: z.int().min(1) });

/** The longest document taken, in characters. */
export const DOCUMENT_LIMIT = 50_000_000;

/** How many things that are wrong are told at once. */
const MOST_TOLD = 50;

/** Reads a set-up document; what is wrong with it comes with its place and path, at most 50 things. */
export function readSetupDocument(text: string): Result<Setup, readonly FormatProblem[]> {
  if (text.length > DOCUMENT_LIMIT) {
    return refuse([
      { line: null, column: null, path: [], what: { kind: 'too-large', limit: DOCUMENT_LIMIT } },
    ]);
  }
  const json = readJson(text);
  if (!json.ok) return refuse([json.problem]);
  const { value, lineColumnOf } = json.value;
  const at = (path: JsonPath) => ({ line: null, column: null, ...lineColumnOf(path), path });
  const head = headSchema.safeParse(value);
  if (head.success && head.data.version > SETUP_VERSION) {
    const { version } = head.data;
    return refuse([{ ...at(['version']), what: { kind: 'newer', version, known: SETUP_VERSION } }]);
  }
  const parsed = setupDocumentSchema.safeParse(head.success ? upToDate(head.data) : value);
  if (!parsed.success) {
    const issues = parsed.error.issues.slice(0, MOST_TOLD);
    return refuse(issues.map((issue) => ({ ...at(issuePath(issue)), what: { kind: 'issue', issue } })));
  }
  const { setup } = parsed.data;
  const faults = findFaults(setup).slice(0, MOST_TOLD);
  if (faults.length === 0) return ok(setup);
  return refuse(
    faults.map(({ at: path, refusal }) => ({
      ...at(['setup', ...path]),
      what: { kind: 'refusal', refusal },
    })),
  );
}

/** A document of an older version as the newest has it. */
function upToDate(document: z.infer<typeof headSchema>): unknown {
  if (document.version === SETUP_VERSION) return document;
  const setup = document.version === 1 ? setupWithIds(document.setup) : document.setup;
  return { ...document, version: SETUP_VERSION, setup };
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
