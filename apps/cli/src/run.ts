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
  help: { type: 'boolean', short: 'h' },
} as const;

/** What was asked, done: a text for standard output. Throws `Refused` with a message to show. */
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
function readArguments(args: string[]) {
  try {
    return parseArgs({ args, options: OPTIONS, allowPositionals: true });
  } catch (error) {
    throw new Refused(`${optionWords(error)}\n\n${USAGE}`);
  }
}

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
