import { KEY_BY_CODE } from './keyTable.ts';
import { BARE, type ModifierName, modifierOf, type Shortcut } from './shortcut.ts';

/** One key event as a browser reports it. */
export interface KeyReport {
  readonly down: boolean;
  /** W3C `KeyboardEvent.code`. */
  readonly code: string;
  /** Whether its `KeyboardEvent.key` is `AltGraph`: the right Alt key reaches a third level on this keyboard. */
  readonly altGraph?: boolean;
}

/**
 * A shortcut being recorded: what is down, the fullest shortcut seen so far, and, once every key has come
 * up, what was `taken`. A code outside the key table is kept as `unknown` and takes nothing.
 */
export interface Recording {
  /** Codes of the keys that are down now. */
  readonly down: readonly string[];
  /** What has been pressed together so far. */
  readonly seen: Shortcut | null;
  /** What was taken, once all came up. */
  readonly taken: Shortcut | null;
  /** A code that no table knows. */
  readonly unknown: string | null;
}

/** Before a key was pressed. */
export const EMPTY_RECORDING: Recording = { down: [], seen: null, taken: null, unknown: null };

/** The recording after one more key event. A key down after a shortcut was taken starts again. */
export function recordKey(recording: Recording, report: KeyReport): Recording {
  if (!KEY_BY_CODE.has(report.code)) {
    return report.down ? { ...recording, unknown: report.code || 'unknown key' } : recording;
  }
  // A right Alt key that reaches no third level is an Alt key.
  const plainAlt = report.code === 'AltRight' && !report.altGraph && !recording.down.includes('AltRight');
  const code = plainAlt ? 'AltLeft' : report.code;
  return report.down ? keyDown(recording, code) : keyUp(recording, code);
}

/** All that goes down together belongs to one shortcut. */
function keyDown(recording: Recording, code: string): Recording {
  if (recording.down.includes(code)) return recording;
  // Some systems say Ctrl before AltGr, although nobody pressed it.
  const phantom = code === 'AltRight' && recording.down.at(-1) === 'ControlLeft';
  const down = [...(phantom ? recording.down.slice(0, -1) : recording.down), code];
  const before = recording.taken ? null : recording.seen;
  const now = shortcutOf(down);
  const fuller = before?.code && !now.code ? before : now;
  return { down, seen: fuller, taken: null, unknown: null };
}

/** Taken when all have come up: until then another may join. */
function keyUp(recording: Recording, code: string): Recording {
  const down = recording.down.filter((held) => held !== code);
  return { ...recording, down, taken: down.length === 0 ? recording.seen : recording.taken };
}

/** The modifiers that are down, and the last other key that went down. */
function shortcutOf(down: readonly string[]): Shortcut {
  const on: Record<ModifierName, boolean> = { ...BARE };
  for (const held of down) {
    const modifier = modifierOf(held);
    if (modifier) on[modifier] = true;
  }
  return { ...on, code: down.findLast((held) => modifierOf(held) === null) ?? null };
}
