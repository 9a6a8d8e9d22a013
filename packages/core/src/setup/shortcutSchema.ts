import { z } from 'zod';
import { canonicalShortcut, canonicalSteps, SHORTCUT_MAX_LENGTH } from '../keys/index.ts';

/** Brought into its canonical form as it is read, so that it is never compared in two spellings. */
function notationSchema(canonical: typeof canonicalShortcut) {
  return z
    .string()
    .max(SHORTCUT_MAX_LENGTH, { abort: true })
    .check((context) => {
      const parsed = canonical(context.value);
      if (parsed.ok) context.value = parsed.value;
      else context.issues.push({ code: 'custom', input: context.value, params: parsed.problem });
    });
}

/** A shortcut in our notation; comes out canonical. The issue's `params` hold the `ShortcutProblem`. */
export const shortcutSchema = notationSchema(canonicalShortcut);

/** A command's shortcut, which may be pressed in several steps: `Ctrl+K, Ctrl+S`. */
export const stepsSchema = notationSchema(canonicalSteps);
