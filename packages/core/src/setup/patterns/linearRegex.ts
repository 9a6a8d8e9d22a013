import { ok, type Result, refuse } from '../../result.ts';
import { isWordPoint, type RegexNode, type RegexProblem, readRegex } from './regexSyntax.ts';

/** One instruction: take a character, check a place, go on in two ways, or be done. */
type Instruction =
  | { readonly kind: 'one'; readonly fits: (point: number) => boolean; readonly next: number }
  | {
      readonly kind: 'assert';
      readonly what: 'start' | 'end' | 'boundary' | 'no-boundary';
      readonly next: number;
    }
  | { readonly kind: 'fork'; readonly nexts: readonly number[] }
  | { readonly kind: 'done' };

/** The most instructions an expression may compile to. */
const MOST_INSTRUCTIONS = 4000;

/**
 * Compiles a regular expression to a test that asks whether it fits anywhere in a text.
 *
 * The text is walked once with the set of all instructions that could be next (K. Thompson, "Regular
 * Expression Search Algorithm", Communications of the ACM 11(6), 1968), so the time is at most the length of
 * the text times the size of the expression: nothing backtracks.
 */
export function compileRegex(source: string): Result<(text: string) => boolean, RegexProblem> {
  const tree = readRegex(source);
  if (!tree.ok) return tree;
  const program: Instruction[] = [{ kind: 'done' }];
  const start = emit(program, tree.value, 0);
  if (start === null) return refuse({ code: 'regex-too-large', at: 0, text: source.slice(0, 8) });
  const needed = neededText(tree.value);
  return ok((text) => text.includes(needed) && search(program, start, text));
}

/** The longest run of characters that any text must have for an expression to fit; saves most searches. */
function neededText(node: RegexNode): string {
  if (node.kind === 'one') return node.literal ?? '';
  if (node.kind === 'repeat') return node.least > 0 ? neededText(node.part) : '';
  if (node.kind !== 'sequence') return '';
  let [longest, run] = ['', ''];
  for (const part of node.parts) {
    if (part.kind === 'one' && part.literal !== undefined) run += part.literal;
    else if (part.kind !== 'assert') {
      const inside = neededText(part);
      if (inside.length > longest.length) longest = inside;
      run = '';
    }
    if (run.length > longest.length) longest = run;
  }
  return longest;
}

/** Adds a node's instructions in front of `next`; gives the first of them, or null when it gets too large. */
function emit(program: Instruction[], node: RegexNode, next: number): number | null {
  if (program.length > MOST_INSTRUCTIONS) return null;
  switch (node.kind) {
    case 'one':
    case 'assert':
      return program.push({ ...node, next }) - 1;
    case 'sequence':
      return node.parts.reduceRight<number | null>(
        (after, part) => (after === null ? null : emit(program, part, after)),
        next,
      );
    case 'choice': {
      const nexts = node.parts.map((part) => emit(program, part, next));
      return nexts.every((first) => first !== null) ? program.push({ kind: 'fork', nexts }) - 1 : null;
    }
    case 'repeat':
      return emitRepeat(program, node, next);
  }
}

/** Repeats are written out: the number of instructions bounds the time. */
function emitRepeat(
  program: Instruction[],
  { part, least, most }: Extract<RegexNode, { kind: 'repeat' }>,
  next: number,
): number | null {
  let first: number | null = next;
  if (most === null) {
    const loop = program.push({ kind: 'fork', nexts: [] }) - 1;
    const body = emit(program, part, loop);
    if (body === null) return null;
    program[loop] = { kind: 'fork', nexts: [body, next] };
    first = loop;
  } else {
    for (let i = least; i < most && first !== null; i++) {
      const body = emit(program, part, first);
      first = body === null ? null : program.push({ kind: 'fork', nexts: [body, next] }) - 1;
    }
  }
  for (let i = 0; i < least && first !== null; i++) first = emit(program, part, first);
  return first;
}

/** All ways at once, a set of them a character (Thompson, 1968): never longer than text times program. */
function search(program: readonly Instruction[], start: number, text: string): boolean {
  const points = Array.from(text, (character) => character.codePointAt(0) ?? 0);
  let here: number[] = [];
  for (let at = 0; at <= points.length; at++) {
    const seen = new Uint8Array(program.length);
    const reached: number[] = [];
    const waiting = [...here, start];
    while (waiting.length > 0) {
      const index = waiting.pop() ?? 0;
      if (seen[index]) continue;
      seen[index] = 1;
      const instruction = program[index];
      if (instruction?.kind === 'done') return true;
      if (instruction?.kind === 'fork') waiting.push(...instruction.nexts);
      else if (instruction?.kind === 'assert') {
        if (holds(instruction.what, points, at)) waiting.push(instruction.next);
      } else reached.push(index);
    }
    const point = points[at];
    if (point === undefined) return false;
    here = [];
    for (const index of reached) {
      const instruction = program[index];
      if (instruction?.kind === 'one' && instruction.fits(point)) here.push(instruction.next);
    }
  }
  return false;
}

/** Whether an assertion holds between two characters. */
function holds(
  what: 'start' | 'end' | 'boundary' | 'no-boundary',
  points: readonly number[],
  at: number,
): boolean {
  if (what === 'start') return at === 0;
  if (what === 'end') return at === points.length;
  const isWord = (point: number | undefined) => point !== undefined && isWordPoint(point);
  const boundary = isWord(points[at - 1]) !== isWord(points[at]);
  return boundary === (what === 'boundary');
}
