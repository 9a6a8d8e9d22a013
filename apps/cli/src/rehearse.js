import { simulate } from '@nimble-lever/core/engine';
import { readEventLines, writeStrokeLines } from '@nimble-lever/core/formats';
import { accountOf, formatProblemWords } from '@nimble-lever/core/words';
import { Refused, readSetup, readText } from './files.ts';
/** Runs a recording of events in virtual time; strokes as lines, or with `explained` the account in words. */
export function rehearse(setupFile, eventsFile, explained) {
  const setup = readSetup(setupFile);
  const events = readEventLines(readText(eventsFile));
  if (!events.ok) throw new Refused(`${eventsFile}: ${formatProblemWords(events.problem)}`);
  const { explanations, strokes } = simulate(setup, events.value);
  if (!explained) return writeStrokeLines(strokes);
  return explanations
    .map((explanation) => {
      const { subject, did, why } = accountOf(setup, explanation);
      return `${explanation.t} ms  ${subject} ${did}. ${why}\n${writeStrokeLines(explanation.strokes)}`;
    })
    .join('');
}
