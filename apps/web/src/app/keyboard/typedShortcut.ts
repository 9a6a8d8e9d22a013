import {
  BARE,
  canonicalSteps,
  displayShortcut,
  displaySteps,
  formatShortcut,
  formatSteps,
  joinParts,
  KEY_BY_CODE,
  type Legends,
  legendOf,
  modifierOf,
  type Platform,
  type PointerUse,
  parsePointer,
  parseSteps,
  placeByLabel,
  reservedBy,
  type Shortcut,
  type ShortcutProblem,
  type TypedAt,
} from '@nimble-lever/core/keys';
import { WORDS_ABROAD } from '@nimble-lever/core/keys/abroad';
import { byPlace, hasKey, type KeysBy, type Layout, resolveShortcut } from '@nimble-lever/core/keys/layouts';
import type { Result } from '@nimble-lever/core/result';
import { WORDS } from './words.ts';

/** What words and labels mean that are typed on this computer. */
export function typedAt(platform: Platform, legends: Legends | null): TypedAt {
  return { platform, placeOf: (label) => placeByLabel(legends, label), words: WORDS_ABROAD };
}

/** Reads a shortcut as it was typed on this computer, into our notation; steps are parted by commas. */
export function readTyped(
  text: string,
  platform: Platform,
  legends: Legends | null,
): Result<string, ShortcutProblem> {
  return canonicalSteps(text, typedAt(platform, legends));
}

/** A use of the pointer as it was typed on this computer: `Alt+drag`; null where it is none. */
export function readPointer(text: string, platform: Platform, legends: Legends | null): PointerUse | null {
  return parsePointer(text, typedAt(platform, legends));
}

/** What to know about a shortcut on this keyboard and platform: keys it lacks, AltGr, what the system keeps. */
export function shortcutWarnings(
  notation: string,
  platform: Platform,
  layout: Layout,
  keysBy: KeysBy,
): string[] {
  return stepsOf(notation).flatMap((step) => {
    const text = formatShortcut(step);
    const reserved = reservedBy(text, platform);
    const kept = reserved ? [WORDS.kept[reserved.by](text, reserved.does)] : [];
    const resolved = resolveShortcut(step, layout, keysBy);
    if (!resolved.ok)
      return [...kept, keysBy === 'place' ? WORDS.noPlace(text) : WORDS.notTyped(text, layout.name)];
    if (resolved.value.way === 'altgr' && isChord(step)) return [...kept, WORDS.needsAltGr(text)];
    const { key } = step;
    const isMissing = key?.kind === 'place' && !hasKey(layout, key.code);
    return isMissing
      ? [...kept, WORDS.noSuchKey(KEY_BY_CODE.get(key.code)?.legend ?? '', layout.name)]
      : kept;
  });
}

/**
 * The keys that are pressed for a shortcut, by the labels of this keyboard; null where that is what the shortcut is called
 * anyway, or where it cannot be typed.
 */
export function pressedAs(
  notation: string,
  platform: Platform,
  layout: Layout,
  keysBy: KeysBy,
): string | null {
  const steps = stepsOf(notation);
  const texts = steps.flatMap((step) => {
    const resolved = resolveShortcut(step, layout, keysBy);
    // Where Latin letters go by place, keys have them printed too.
    const isPlain = !resolved.ok || resolved.value.way === 'latin-place';
    return isPlain ? [] : [labelsOf(resolved.value.codes, platform, layout)];
  });
  if (steps.length === 0 || texts.length < steps.length) return null;
  const pressed = texts.join(', ');
  const shown = displaySteps(notation, platform, layout.legends).replace(/[{}](?=.)|(?<=.)[{}]/g, '');
  return pressed === shown ? null : pressed;
}

/** Keys in the order in which the platform writes them, each by its label. */
function labelsOf(codes: readonly string[], platform: Platform, layout: Layout): string {
  const held = { ...BARE };
  let key: string | null = null;
  for (const code of codes) {
    const modifier = modifierOf(code);
    if (modifier) Object.assign(held, { [modifier]: true });
    else key = code;
  }
  const parts = displayShortcut({ ...held, key: null }, platform);
  return joinParts(key === null ? parts : [...parts, legendOf(key, platform, layout.legends)], platform);
}

/** The same by place, in our notation, where this keyboard types a shortcut badly or not at all; null elsewhere. */
export function placeInstead(notation: string, layout: Layout, keysBy: KeysBy): string | null {
  if (keysBy === 'place') return null;
  const steps = stepsOf(notation);
  const places = steps.map((step) => {
    const resolved = resolveShortcut(step, layout, keysBy);
    const isGood = resolved.ok && !(resolved.value.way === 'altgr' && isChord(step));
    return isGood ? step : byPlace(step, layout);
  });
  const found = places.filter((step) => step !== null);
  if (found.length < steps.length || found.every((step, i) => step === steps[i])) return null;
  return formatSteps(found);
}

/** Whether a shortcut has more than AltGr and Shift: characters that AltGr types are typed by themselves. */
function isChord({ ctrl, alt, meta }: Shortcut): boolean {
  return ctrl || alt || meta;
}

/** The steps of a shortcut; none where it cannot be read, as what is typed often cannot. */
function stepsOf(notation: string): readonly Shortcut[] {
  const steps = parseSteps(notation);
  return steps.ok ? steps.value : [];
}
