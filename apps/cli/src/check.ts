import { readSetup } from './files.ts';

/** Says that a set-up document is sound, and what is in it; what is wrong is refused with its paths. */
export function check(file: string): string {
  const { name, devices, programs, profiles } = readSetup(file);
  const bindings = Object.values(profiles).reduce(
    (sum, { bindings: own }) => sum + Object.keys(own).length,
    0,
  );
  const counts = `${devices.length} devices, ${programs.length} programs, ${bindings} bindings`;
  return `${name}: sound (${counts}).\n`;
}
