import type { ChildProcess } from 'node:child_process';

export function spawnServer(
  settings: Record<string, string>,
  options?: { quietly?: boolean },
): {
  child: ChildProcess;
  ready: Promise<string | null>;
  elsewhere: () => readonly string[];
  exited: Promise<{ code: number | null; signal: NodeJS.Signals | null }>;
};
