import { type EngineEvent, engineEventSchema, type Stroke } from '../engine/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import { type FormatProblem, pathText } from './problem.ts';
import { parseJson } from './setupDocument.ts';

/**
 * Reads a recording of events, one JSON object a line; empty lines are passed over. The first line that is wrong
 * is told with its number and the path inside.
 */
export function readEventLines(text: string): Result<readonly EngineEvent[], FormatProblem> {
  const events: EngineEvent[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const json = parseJson(line);
    if (json === undefined) return refuse({ line: i + 1, path: '', what: { kind: 'not-json' } });
    const parsed = engineEventSchema.safeParse(json);
    const issue = parsed.error?.issues[0];
    if (issue) return refuse({ line: i + 1, path: pathText(issue.path), what: { kind: 'issue', issue } });
    if (parsed.data) events.push(parsed.data);
  }
  return ok(events);
}

/** Strokes as lines, one JSON object each: `t`, `cause`, `kind`, then the rest. */
export function writeStrokeLines(strokes: readonly Stroke[]): string {
  return strokes
    .map(({ t, cause, kind, ...rest }) => `${JSON.stringify({ t, cause, kind, ...rest })}\n`)
    .join('');
}
