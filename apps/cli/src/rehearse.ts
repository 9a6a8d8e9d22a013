import { readEventLines, writeStrokeLines } from '@nimble-lever/core/formats';
import { accountOf, formatProblemWords } from '@nimble-lever/core/words';
import { playRecording } from '@nimble-lever/session';
import { Refused, readSetup, readText } from './files.ts';

/**
 * Runs a recording of events in virtual time. Strokes as lines; with `explained` each event's account in words
 * comes before them, as a line of kind `explanation`.
 */
export function rehearse(setupFile: string, eventsFile: string, explained: boolean): string {
  const setup = readSetup(setupFile);
  const events = readEventLines(readText(eventsFile));
  if (!events.ok) throw new Refused(`${eventsFile}: ${formatProblemWords(events.problem)}`);
  const { explanations, strokes } = playRecording(setup, events.value);
  if (!explained) return writeStrokeLines(strokes);
  return explanations
    .map((explanation) => {
      const { subject, did, why } = accountOf(setup, explanation);
      const { t, seq: cause } = explanation;
      const line = { t, cause, kind: 'explanation', says: `${subject} ${did}. ${why}`.trim() };
      return `${JSON.stringify(line)}\n${writeStrokeLines(explanation.strokes)}`;
    })
    .join('');
}
