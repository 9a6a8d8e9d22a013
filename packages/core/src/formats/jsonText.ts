import { findNodeAtLocation, type Node, type ParseError, parseTree, printParseErrorCode } from 'jsonc-parser';
import type { JsonPath } from '../jsonPath.ts';
import { ok, type Result, refuse } from '../result.ts';
import type { FormatProblem, JsonProblem } from './problem.ts';

/** Where something stands in a text, both from 1; the column counts UTF-16 units. */
export interface LineColumn {
  /** From 1. */
  readonly line: number;
  /** From 1, in UTF-16 units as editors count. */
  readonly column: number;
}

/** JSON that was read, and where in its text the things in it stand. */
export interface JsonText {
  readonly value: unknown;
  /** The place of what a path leads to; of the nearest thing above it where it leads to nothing. */
  readonly lineColumnOf: (path: JsonPath) => LineColumn | null;
}

/** Strictly JSON (RFC 8259): what is let through here, other readers of our files would refuse. */
const OPTIONS = { disallowComments: true, allowTrailingComma: false, allowEmptyContent: false };

/**
 * Reads JSON (RFC 8259), with or without a byte-order mark. What is wrong is told with its place. A name that every
 * object has already is refused: it would not be kept as a name of something.
 */
export function readJson(text: string): Result<JsonText, FormatProblem> {
  const bare = text.startsWith('\ufeff') ? text.slice(1) : text;
  let value: unknown;
  try {
    value = JSON.parse(bare);
  } catch {
    return refuse(brokenAt(bare));
  }
  let root: Node | undefined | null = null;
  const lineColumnOf = (path: JsonPath) => {
    if (root === null) root = treeOf(bare, []);
    return root ? lineColumnIn(bare, root, path) : null;
  };
  const reserved = reservedName(value);
  if (!reserved) return ok({ value, lineColumnOf });
  return refuse({ ...(lineColumnOf(reserved) ?? NOWHERE), path: reserved, what: { kind: 'reserved-name' } });
}

/** Said of what is wrong with a file as a whole. */
const NOWHERE = { line: null, column: null };

/** What is wrong with a text that is no JSON: the first thing, with its place. */
function brokenAt(text: string): FormatProblem {
  const errors: ParseError[] = [];
  treeOf(text, errors);
  const [first] = errors;
  if (!first) return { ...NOWHERE, path: [], what: { kind: 'not-json', problem: 'InvalidSymbol' } };
  const problem = printParseErrorCode(first.error) as JsonProblem;
  return { ...lineColumnAt(text, first.offset), path: [], what: { kind: 'not-json', problem } };
}

/** The text as a tree; undefined where it is nested too deep to be walked. */
function treeOf(text: string, errors: ParseError[]): Node | undefined {
  try {
    return parseTree(text, errors, OPTIONS);
  } catch {
    return undefined;
  }
}

/** Of a path that leads to nothing, the last part that is there. */
function lineColumnIn(text: string, root: Node, path: JsonPath): LineColumn {
  for (let length = path.length; length >= 0; length--) {
    const node = findNodeAtLocation(root, path.slice(0, length) as (string | number)[]);
    if (!node) continue;
    // A property is where its name stands.
    const named = node.parent?.type === 'property' ? node.parent : node;
    return lineColumnAt(text, named.offset);
  }
  return lineColumnAt(text, root.offset);
}

/** Counted only where something is wrong: a document has many lines. */
function lineColumnAt(text: string, offset: number): LineColumn {
  const before = text.slice(0, offset);
  return { line: before.split('\n').length, column: offset - before.lastIndexOf('\n') };
}

/** Something in JSON and what it stands in. */
interface Inside {
  readonly value: unknown;
  /** Its name or number in what is around it. */
  readonly key: string | number;
  /** What is around it; null at the top. */
  readonly above: Inside | null;
}

/** The path of the first name that every object has already; null where there is none. Walks without recursion. */
function reservedName(value: unknown): JsonPath | null {
  const waiting: Inside[] = [{ value, key: '', above: null }];
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (typeof next.value !== 'object' || next.value === null) continue;
    if (Object.hasOwn(next.value, '__proto__')) return [...pathTo(next), '__proto__'];
    const isList = Array.isArray(next.value);
    for (const [name, inside] of Object.entries(next.value)) {
      if (typeof inside !== 'object' || inside === null) continue;
      waiting.push({ value: inside, key: isList ? Number(name) : name, above: next });
    }
  }
  return null;
}

/** Built only for what is told; walking keeps no paths. */
function pathTo(inside: Inside): JsonPath {
  const path: (string | number)[] = [];
  for (let at: Inside = inside; at.above; at = at.above) path.unshift(at.key);
  return path;
}
