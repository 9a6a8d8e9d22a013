import { type EngineEvent, engineEventSchema, type Stroke } from '../engine/index.ts';
import { ok, type Result, refuse } from '../result.ts';
import { issuePath } from './issuePath.ts';
import { readJson } from './jsonText.ts';
import type { FormatProblem } from './problem.ts';

/**
 * Reads a recording of events, one JSON object a line; empty lines are passed over. The first line that is wrong
 * is told with its number, the column and the path inside.
 */
export function readEventLines(text: string): Result<readonly EngineEvent[], FormatProblem> {
  const events: EngineEvent[] = [];
  for (const [i, line] of text
    .replace(/^\ufeff/, '')
    .split('\n')
    .entries()) {
    if (line.trim() === '') continue;
    const json = readJson(line);
    if (!json.ok) return refuse({ ...json.problem, line: i + 1 });
    const parsed = engineEventSchema.safeParse(json.value.value);
    const issue = parsed.error?.issues[0];
    if (issue) {
      const path = issuePath(issue);
      const { column } = json.value.lineColumnOf(path) ?? { column: null };
      return refuse({ line: i + 1, column, path, what: { kind: 'issue', issue } });
    }
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
