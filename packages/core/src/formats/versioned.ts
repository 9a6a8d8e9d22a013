import { z } from 'zod';
import type { JsonPath } from '../jsonPath.ts';
import { ok, type Result, refuse } from '../result.ts';
import { issuePath } from './issuePath.ts';
import { readJson } from './jsonText.ts';
import type { FormatProblem } from './problem.ts';

/** The longest document taken, in characters. */
const DOCUMENT_LIMIT = 50_000_000;

/** How many things that are wrong are told at once. */
export const MOST_TOLD = 50;

/** A kind of document: what it is called, the version that is written, and how older ones are brought up to date. */
interface Versioned<Schema extends z.ZodType> {
  readonly format: string;
  readonly version: number;
  /** Of the newest version, with its head. */
  readonly schema: Schema;
  /** A document of an older version as the newest has it. */
  readonly upToDate: (document: { readonly [name: string]: unknown; readonly version: number }) => unknown;
}

/** A document that was read, and the place of what a path leads to. */
interface ReadDocument<Document> {
  readonly document: Document;
  readonly at: (path: JsonPath) => Pick<FormatProblem, 'line' | 'column' | 'path'>;
}

/**
 * Reads a document that says its format and version. A newer version is refused in words before anything of it is
 * misread; what else is wrong comes with its place and path, at most 50 things.
 */
export function readVersioned<Schema extends z.ZodType>(
  text: string,
  { format, version, schema, upToDate }: Versioned<Schema>,
): Result<ReadDocument<z.infer<Schema>>, readonly FormatProblem[]> {
  if (text.length > DOCUMENT_LIMIT) {
    return refuse([
      { line: null, column: null, path: [], what: { kind: 'too-large', limit: DOCUMENT_LIMIT } },
    ]);
  }
  const json = readJson(text);
  if (!json.ok) return refuse([json.problem]);
  const { value, lineColumnOf } = json.value;
  const at = (path: JsonPath) => ({ line: null, column: null, ...lineColumnOf(path), path });
  const head = z.looseObject({ format: z.literal(format), version: z.int().min(1) }).safeParse(value);
  if (head.success && head.data.version > version) {
    const known = { kind: 'newer', version: head.data.version, known: version } as const;
    return refuse([{ ...at(['version']), what: known }]);
  }
  const isOlder = head.success && head.data.version < version;
  const parsed = schema.safeParse(isOlder ? upToDate(head.data) : value);
  if (parsed.success) return ok({ document: parsed.data, at });
  const issues = parsed.error.issues.slice(0, MOST_TOLD);
  return refuse(issues.map((issue) => ({ ...at(issuePath(issue)), what: { kind: 'issue', issue } })));
}
