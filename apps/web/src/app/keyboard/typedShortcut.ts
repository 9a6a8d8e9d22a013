import {
  canonicalSteps,
  formatShortcut,
  KEY_BY_CODE,
  type Platform,
  parseSteps,
  reservedBy,
  type ShortcutProblem,
} from '@nimble-lever/core/keys';
import { hasKey, type Layout, reachShortcut } from '@nimble-lever/core/keys/layouts';
import { ok, type Result } from '@nimble-lever/core/result';
import { WORDS } from '../shell/words.ts';

/** A shortcut as it was typed, found on the person's keyboard. */
export interface Typed {
  /** In our notation; steps are parted by commas. */
  readonly notation: string;
  /** What to know about it, in words. */
  readonly warnings: readonly string[];
}

/** Reads a typed shortcut: keys named by what they type are those of the person's keyboard. */
export function readTyped(text: string, layout: Layout | null): Result<Typed, ShortcutProblem> {
  const whole = canonicalSteps(text);
  if (!layout) return whole.ok ? ok({ notation: whole.value, warnings: [] }) : whole;
  const steps: string[] = [];
  const warnings: string[] = [];
  for (const part of text.trim().split(/(?<=\S),\s+/)) {
    const reached = reachShortcut(part, layout);
    if (!reached.ok) return reached;
    const { shortcut, how } = reached.value;
    steps.push(formatShortcut(shortcut));
    if (how === 'with-altgr') warnings.push(WORDS.needsAltGr(part.trim()));
    if (how === 'by-position') warnings.push(WORDS.byPosition(layout.name));
  }
  const notation = canonicalSteps(steps.join(', '));
  return notation.ok ? ok({ notation: notation.value, warnings }) : notation;
}

/** What to know about a shortcut on this keyboard and platform: keys it lacks, what the system keeps. */
export function shortcutWarnings(notation: string, platform: Platform, layout: Layout | null): string[] {
  const steps = parseSteps(notation);
  if (!steps.ok) return [];
  return steps.value.flatMap((step) => {
    const text = formatShortcut(step);
    const reserved = reservedBy(text, platform);
    const kept = reserved ? [WORDS.kept[reserved.by](text, reserved.does)] : [];
    const lacks = layout && step.code !== null && !hasKey(layout, step.code);
    const name = KEY_BY_CODE.get(step.code ?? '')?.legend ?? '';
    return lacks ? [...kept, WORDS.noSuchKey(name, layout.name)] : kept;
  });
}
