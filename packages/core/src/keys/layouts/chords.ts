import { ok, type Result } from '../../result.ts';
import { parseSteps } from '../parseShortcut.ts';
import type { Layout } from './layout.ts';
import { type KeysBy, type NoKey, resolveShortcut } from './resolve.ts';

/** Shortcuts as the codes of their keys, in the order in which they go down. */
export type Chords = readonly (readonly string[])[];

/** The keys of a shortcut's steps on a layout. What cannot be read has none; a sound set-up has no such shortcut. */
export function chordsOf(shortcut: string, layout: Layout, keysBy: KeysBy): Result<Chords, NoKey> {
  const steps = parseSteps(shortcut);
  const chords: (readonly string[])[] = [];
  for (const step of steps.ok ? steps.value : []) {
    const resolved = resolveShortcut(step, layout, keysBy);
    if (!resolved.ok) return resolved;
    chords.push(resolved.value.codes);
  }
  return ok(chords);
}
