import { KEY_BY_CODE } from './keyTable.ts';
import { type ModifierName, modifierOf, type Shortcut } from './shortcut.ts';

/** One key event as a browser reports it. */
export interface KeyReport {
  readonly down: boolean;
  /** W3C `KeyboardEvent.code`. */
  readonly code: string;
}

/**
 * A shortcut being recorded: what is down, the fullest shortcut seen so far, and, once every key has come
 * up, what was `taken`. A code outside the key table is kept as `unknown` and takes nothing.
 */
export interface Recording {
  readonly down: readonly string[];
  readonly seen: Shortcut | null;
  readonly taken: Shortcut | null;
  readonly unknown: string | null;
}

export const EMPTY_RECORDING: Recording = { down: [], seen: null, taken: null, unknown: null };

/** The recording after one more key event. A key down after a shortcut was taken starts again. */
export function recordKey(recording: Recording, report: KeyReport): Recording {
  if (!KEY_BY_CODE.has(report.code)) {
    return report.down ? { ...recording, unknown: report.code || 'unknown key' } : recording;
  }
  return report.down ? keyDown(recording, report.code) : keyUp(recording, report.code);
}

function keyDown(recording: Recording, code: string): Recording {
  if (recording.down.includes(code)) return recording;
  const down = [...recording.down, code];
  const before = recording.taken ? null : recording.seen;
  const now = shortcutOf(down);
  const fuller = before?.code && !now.code ? before : now;
  return { down, seen: fuller, taken: null, unknown: null };
}

function keyUp(recording: Recording, code: string): Recording {
  const down = recording.down.filter((held) => held !== code);
  return { ...recording, down, taken: down.length === 0 ? recording.seen : recording.taken };
}

/** The modifiers that are down, and the last other key that went down. */
function shortcutOf(down: readonly string[]): Shortcut {
  const has = (name: ModifierName) => down.some((code) => modifierOf(code) === name);
  const code = down.findLast((held) => modifierOf(held) === null) ?? null;
  return { ctrl: has('ctrl'), shift: has('shift'), alt: has('alt'), meta: has('meta'), code };
}
