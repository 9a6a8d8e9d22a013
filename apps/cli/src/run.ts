import { parseArgs } from 'node:util';
import { check } from './check.ts';
import { exportCommands, importCommands } from './commands.ts';
import { device } from './device.ts';
import { explain } from './explain.ts';
import { Refused } from './files.ts';
import { rehearse } from './rehearse.ts';
import { listWindows, tryWindow } from './windows.ts';

/**
 * What `lever help` prints. A wrong word prints it too, after what was wrong, on the error output and with
 * exit code 2.
 */
const USAGE = `Usage:
  lever rehearse SETUP.json EVENTS.ndjson [--explain]    what a recording becomes, a stroke a line
  lever explain SETUP.json --front PROGRAM --control DEVICE/CONTROL [--trigger T] [--layer L] [--page P]
                                                         what a control does in a program, and why
  lever check SETUP.json                                 whether a set-up document is sound
  lever device DESCRIPTOR… [--report [N=]HEX]…           the controls a device describes, and what its reports say
  lever commands import SETUP.json LIST --program PROGRAM [--explain]
                                                         the set-up with a list taken in, or what each line becomes
  lever commands export SETUP.json --program PROGRAM [--as csv|markdown|json]
                                                         a program's commands as a list
  lever windows SETUP.json [--try EXECUTABLE CLASS TITLE]
                                                         by which windows profiles are known; which one a window gets
  lever help                                             this

With the server that is running (at LEVER_SERVER, else http://127.0.0.1 at PORT or 4680):
  lever set-ups [--json]                                 the set-ups there are
  lever export SET-UP [--part device|program|profile|macro/ID] [--as json|csv|markdown] [--to FILE]
                                                         a set-up or a part of it as a file, or its bindings as a table
  lever import SET-UP FILE.json [--all] [--look] [--json]
                                                         takes in what is new; --all: also in the place of what is there;
                                                         --look: only tells what would come
  lever snapshot SET-UP NAME [--note TEXT] [--json]      keeps it as it is now
  lever history SET-UP [--count N] [--json]              the newest edits in words
  lever restore SET-UP EDIT|SNAPSHOT [--json]            makes it what it was, as one edit that can be undone
  lever use SET-UP [--pin PROFILE] [--set DEVICE/CONTROL=SHORTCUT]… [--until-exit]
                                                         puts a profile and keys on at the desk used last; --until-exit:
                                                         for as long as this, and whoever started it, runs
  lever diff A B [--json]                                in what two differ: FILE.json, SET-UP, SET-UP@EDIT or
                                                         SET-UP@SNAPSHOT; ends with 1 where they do

Of the database, by PostgreSQL's own tools:
  lever backup FILE                                      everything: all set-ups, their logs and pictures
  lever restore FILE                                     puts everything back as a backup has it; the server must be
                                                         stopped
A set-up is named by its id or its name. Exit codes: 0 done, 1 differences, 2 refused, 3 the server does not answer.
`;

/** The options of all commands in one table: Node's own parser refuses one that stands nowhere. */
const OPTIONS = {
  explain: { type: 'boolean' },
  front: { type: 'string' },
  control: { type: 'string' },
  trigger: { type: 'string' },
  layer: { type: 'string' },
  page: { type: 'string' },
  report: { type: 'string', multiple: true },
  program: { type: 'string' },
  as: { type: 'string' },
  try: { type: 'boolean' },
  part: { type: 'string' },
  to: { type: 'string' },
  note: { type: 'string' },
  count: { type: 'string' },
  all: { type: 'boolean' },
  look: { type: 'boolean' },
  json: { type: 'boolean' },
  pin: { type: 'string' },
  set: { type: 'string', multiple: true },
  'until-exit': { type: 'boolean' },
  help: { type: 'boolean', short: 'h' },
} as const;

/** What needs no server, done: a text for standard output. Throws `Refused` with a message to show. */
export function run(args: string[]): string {
  const { values, positionals } = readArguments(args);
  const [command, ...files] = positionals;
  if (values.help || command === 'help') return USAGE;
  if (command === 'rehearse' && files.length === 2) {
    return rehearse(files[0] ?? '', files[1] ?? '', values.explain ?? false);
  }
  if (command === 'device' && files.length > 0) return device(files, values.report ?? []);
  if (command === 'check' && files.length === 1) return check(files[0] ?? '');
  if (command === 'explain' && files.length === 1 && values.front && values.control) {
    const { front, control, trigger = null, layer = null, page = null } = values;
    return explain(files[0] ?? '', { front, control, trigger, layer, page });
  }
  if (command === 'commands' && values.program) {
    const [what, file = '', list = ''] = files;
    if (what === 'import' && files.length === 3) {
      return importCommands(file, list, values.program, values.explain ?? false);
    }
    if (what === 'export' && files.length === 2) {
      return exportCommands(file, values.program, values.as ?? 'csv');
    }
  }
  if (command === 'windows') {
    const [file = '', executable = '', windowClass = '', title = ''] = files;
    if (files.length === 1 && !values.try) return listWindows(file);
    if (files.length === 4 && values.try) return tryWindow(file, { executable, class: windowClass, title });
  }
  throw new Refused(
    `${command === undefined ? '' : `“${positionals.join(' ')}” is not how this is used.\n\n`}${USAGE}`,
  );
}

/** Words of the command line; the parser's own refusals are said in our words. */
export function readArguments(args: string[]) {
  try {
    return parseArgs({ args, options: OPTIONS, allowPositionals: true });
  } catch (error) {
    throw new Refused(`${optionWords(error)}\n\n${USAGE}`);
  }
}

/** The options that were given. */
export type Values = ReturnType<typeof readArguments>['values'];

/** What is wrong with an option, in our words. */
function optionWords(error: unknown): string {
  const { code, message = '' } = error as { code?: string; message?: string };
  const named = /'(-[^' ]*)/.exec(message)?.[1] ?? 'An option';
  switch (code) {
    case 'ERR_PARSE_ARGS_UNKNOWN_OPTION':
      return `There is no option ${named}.`;
    case 'ERR_PARSE_ARGS_INVALID_OPTION_VALUE':
      return /not take/.test(message) ? `${named} takes no value.` : `${named} needs a value after it.`;
    default:
      return 'This is not how it is used.';
  }
}
