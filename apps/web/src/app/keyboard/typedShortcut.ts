import {
  canonicalSteps,
  formatShortcut,
  KEY_BY_CODE,
  type Platform,
  parseSteps,
  reservedBy,
  type Shortcut,
  type ShortcutProblem,
} from '@nimble-lever/core/keys';
import {
  byAltGr,
  hasKey,
  type Layout,
  reachShortcut,
  type WouldDo,
  wouldDo,
} from '@nimble-lever/core/keys/layouts';
import { ok, type Result } from '@nimble-lever/core/result';
import { WORDS } from '../shell/words.ts';

/** A shortcut as it was typed, found on the person's keyboard. */
export interface Typed {
  /** In our notation; steps are parted by commas. */
  readonly notation: string;
  /** What to know about it, in words. */
  readonly warnings: readonly string[];
}

/** A shortcut that would do, in our notation, and for which programs. */
export interface Instead {
  readonly notation: string;
  readonly goesBy: WouldDo['goesBy'];
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
    if (how === 'by-position') warnings.push(WORDS.byPosition(layout.name));
  }
  const notation = canonicalSteps(steps.join(', '));
  return notation.ok ? ok({ notation: notation.value, warnings }) : notation;
}

/** What to know about a shortcut on this keyboard and platform: keys it lacks, AltGr, what the system keeps. */
export function shortcutWarnings(notation: string, platform: Platform, layout: Layout | null): string[] {
  return stepsOf(notation).flatMap((step) => {
    const text = formatShortcut(step);
    const reserved = reservedBy(text, platform);
    const kept = reserved ? [WORDS.kept[reserved.by](text, reserved.does)] : [];
    if (!layout || step.code === null) return kept;
    const character = byAltGr(step, layout);
    const modifiers = formatShortcut({ ...step, shift: false, altGr: false, code: null });
    // A mark no command is called by was hardly meant: then the shortcut is named, and what it types instead.
    if (character !== null && isAscii(character))
      return [...kept, WORDS.needsAltGr(`${modifiers}+${character}`)];
    if (character !== null) return [...kept, WORDS.typesInstead(text, character)];
    const name = KEY_BY_CODE.get(step.code)?.legend ?? '';
    return hasKey(layout, step.code) ? kept : [...kept, WORDS.noSuchKey(name, layout.name)];
  });
}

/** What would do instead of a shortcut that this keyboard has no good keys for; each in our notation. */
export function shortcutsInstead(notation: string, layout: Layout | null): readonly Instead[] {
  if (!layout) return [];
  const steps = stepsOf(notation);
  return steps.flatMap((step, at) =>
    wouldDo(step, layout).map(({ shortcut, goesBy }) => ({
      notation: steps.with(at, shortcut).map(formatShortcut).join(', '),
      goesBy,
    })),
  );
}

/** The characters shortcuts are documented by (ISO 646). */
function isAscii(character: string): boolean {
  return character > ' ' && character <= '~';
}

/** The steps of a shortcut; none where it cannot be read, as what is typed often cannot. */
function stepsOf(notation: string): readonly Shortcut[] {
  const steps = parseSteps(notation);
  return steps.ok ? steps.value : [];
}
