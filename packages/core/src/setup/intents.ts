import type { Command, Program, Setup } from './setup.ts';

/** A program's command of an intent: the first of its list that has it; null where it has none. */
export function commandOfIntent(program: Program | undefined, intent: string): Command | null {
  return program?.commands.find((command) => command.intent === intent) ?? null;
}

/** The intents that commands of a set-up have, those of most programs first, then by name. */
export function intentsIn({ programs }: Setup): readonly string[] {
  const counts = new Map<string, number>();
  for (const { commands } of programs)
    for (const intent of new Set(commands.map((command) => command.intent)))
      if (intent !== null) counts.set(intent, (counts.get(intent) ?? 0) + 1);
  return [...counts].toSorted(([a, x], [b, y]) => y - x || (a < b ? -1 : 1)).map(([intent]) => intent);
}
