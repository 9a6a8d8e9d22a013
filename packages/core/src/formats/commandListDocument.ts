import { z } from 'zod';
import { idSchema, nameSchema } from '../devices/index.ts';
import { ok, type Result } from '../result.ts';
import { type Command, commandSchema, keysBySchema, LIMITS } from '../setup/index.ts';
import type { FormatProblem } from './problem.ts';
import { readVersioned } from './versioned.ts';

/** The version that is written; there is no older one. */
const COMMAND_LIST_VERSION = 1;

/** A list of commands as a file; ids are given anew where it is taken in. */
export const commandListDocumentSchema = z.strictObject({
  format: z.literal('nimble-lever/command-list'),
  version: z.literal(COMMAND_LIST_VERSION),
  /** What the program is called that has them; it may be called otherwise where they are taken in. */
  program: nameSchema,
  keysBy: keysBySchema.default('character'),
  commands: z
    // Whoever writes one by hand need not say that a command has no intent.
    .array(commandSchema.omit({ id: true }).extend({ intent: idSchema.nullable().default(null) }))
    .max(LIMITS.commands),
});
/** The commands of a program, to be given to someone. */
export type CommandList = Omit<z.infer<typeof commandListDocumentSchema>, 'format' | 'version'>;

/** A list that was read, with the line that each command begins in. */
export type ReadCommandList = CommandList & { readonly lines: readonly number[] };

/** Reads a list of commands; what is wrong with it comes with its place and path. */
export function readCommandList(text: string): Result<ReadCommandList, readonly FormatProblem[]> {
  const read = readVersioned(text, {
    format: 'nimble-lever/command-list',
    version: COMMAND_LIST_VERSION,
    schema: commandListDocumentSchema,
    upToDate: (document) => document,
  });
  if (!read.ok) return read;
  const { at, document } = read.value;
  const { program, keysBy, commands } = document;
  const lines = commands.map((_command, i) => at(['commands', i]).line ?? 1);
  return ok({ program, keysBy, commands, lines });
}

/** Writes a list of commands as a document, two spaces to a level. */
export function writeCommandList({
  program,
  keysBy,
  commands,
}: Pick<CommandList, 'program' | 'keysBy'> & { readonly commands: readonly Command[] }): string {
  const document: z.infer<typeof commandListDocumentSchema> = {
    format: 'nimble-lever/command-list',
    version: COMMAND_LIST_VERSION,
    program,
    keysBy,
    commands: commands.map(({ id: _id, ...command }) => command),
  };
  return `${JSON.stringify(document, null, 2)}\n`;
}
