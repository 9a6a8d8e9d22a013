import { US_LAYOUT } from '@nimble-lever/core/keys/layouts';
import { checkMacro, type MacroFinding, stepNumbers } from '@nimble-lever/core/macros';
import type { Setup } from '@nimble-lever/core/setup';
import { macroFindingWords } from '@nimble-lever/core/words';
import { readSetup } from './files.ts';

/** Says that a set-up document is sound, and what is in it; what is wrong is refused with its paths. */
export function check(file: string): string {
  const setup = readSetup(file);
  const { name, devices, programs, profiles } = setup;
  const bindings = Object.values(profiles).reduce(
    (sum, { bindings: own }) => sum + Object.keys(own).length,
    0,
  );
  const counts = `${devices.length} devices, ${programs.length} programs, ${bindings} bindings`;
  return [`${name}: sound (${counts}).`, ...macrosToLookAt(setup), ''].join('\n');
}

/** What can be typed depends on the keyboard, which a file does not know. */
const OF_A_KEYBOARD: ReadonlySet<MacroFinding['kind']> = new Set(['untypable-text', 'untypable-keys']);

/** What is worth a look in its macros, a line each. */
function macrosToLookAt(setup: Setup): readonly string[] {
  const around = { layout: US_LAYOUT, opened: new Map(), window: null };
  return setup.macros.flatMap((macro) => {
    const numbers = stepNumbers(macro.steps);
    return checkMacro(setup, macro, around)
      .filter(({ kind }) => !OF_A_KEYBOARD.has(kind))
      .map((finding) => {
        const step = finding.step === null ? '' : `, step ${numbers.get(finding.step)}`;
        return `  Macro “${macro.name}”${step}: ${macroFindingWords(finding)}`;
      });
  });
}
