import { z } from 'zod';
import { canonicalShortcut, SHORTCUT_MAX_LENGTH } from '../keys/index.ts';

/** A shortcut in our notation; comes out canonical. The issue's `params` hold the `ShortcutProblem`. */
export const shortcutSchema = z
  .string()
  .max(SHORTCUT_MAX_LENGTH, { abort: true })
  .check((context) => {
    const parsed = canonicalShortcut(context.value);
    if (parsed.ok) context.value = parsed.value;
    else context.issues.push({ code: 'custom', input: context.value, params: parsed.problem });
  });
