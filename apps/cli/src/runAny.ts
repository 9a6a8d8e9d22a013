import { Refused } from './files.ts';
import {
  exportSetUp,
  goBack,
  importFile,
  listSetUps,
  makeSnapshot,
  type Said,
  tellDifferences,
  tellHistory,
} from './online/commands.ts';
import { Server } from './online/server.ts';
import { useMapping } from './online/use.ts';
import { readArguments, run, type Values } from './run.ts';

/** What was asked, done, by the running server where it needs one. Throws `Refused` or `NotThere` with a message to show. */
export async function runAny(args: string[]): Promise<Said> {
  const { values, positionals } = readArguments(args);
  return (await runOnline(values, positionals)) ?? { text: run(args), code: 0 };
}

/** What the running server does; null for anything else. */
function runOnline(values: Values, [command, ...words]: readonly string[]): Promise<Said> | null {
  const server = new Server();
  const [first = '', second = ''] = words;
  const { json = false } = values;
  if (values.help) return null;
  if (command === 'set-ups' && words.length === 0) return listSetUps(server, json);
  if (command === 'export' && words.length === 1) {
    const { part = null, as = 'json', to = null } = values;
    return exportSetUp(server, first, { part, as, to });
  }
  if (command === 'import' && words.length === 2) {
    const { all = false, look = false } = values;
    return importFile(server, first, second, { all, look, isJson: json });
  }
  if (command === 'snapshot' && words.length === 2) {
    return makeSnapshot(server, first, { name: second, note: values.note ?? null, isJson: json });
  }
  if (command === 'history' && words.length === 1) {
    return tellHistory(server, first, countOf(values.count ?? '20'), json);
  }
  if (command === 'restore' && words.length === 2) return goBack(server, first, second, json);
  if (command === 'use' && words.length === 1) {
    const { pin = null, set = [], 'until-exit': untilExit = false } = values;
    return useMapping(server, first, { pin, sets: set, untilExit });
  }
  if (command === 'diff' && words.length === 2) return tellDifferences(server, first, second, json);
  return null;
}

function countOf(text: string): number {
  const count = Number(text);
  if (Number.isInteger(count) && count >= 1 && count <= 500) return count;
  throw new Refused(`--count ${text}: a number from 1 to 500.`);
}
