import { KEY_BY_CODE } from './keyTable.ts';
import { BARE, keyByCode, type ModifierName, modifierOf, type Shortcut } from './shortcut.ts';

/** One key event as a browser reports it. */
export interface KeyReport {
  readonly down: boolean;
  /** W3C `KeyboardEvent.code`. */
  readonly code: string;
  /** W3C `KeyboardEvent.key`; `AltGraph` for a right Alt key that reaches a third level. */
  readonly value?: string;
}

/** How what is pressed is read. */
export interface RecordingRules {
  /** What a key means that goes down with modifiers, to the program that the shortcut is for. */
  readonly meaningOf: (pressed: {
    readonly code: string;
    readonly value: string | null;
    readonly held: Readonly<Record<ModifierName, boolean>>;
  }) => Shortcut;
  /** Whether the system says Ctrl before AltGr although nobody pressed it. */
  readonly phantomCtrl: boolean;
}

/** The keys of the United States keyboard, as a system reports them that says no more than what was pressed. */
export const PLAIN_RULES: RecordingRules = {
  meaningOf: ({ code, held }) => ({ ...held, key: keyByCode(code) }),
  phantomCtrl: false,
};

/**
 * A shortcut being recorded: what is down, the fullest shortcut seen so far, and, once every key has come
 * up, what was `taken`. A code outside the key table is kept as `unknown` and takes nothing.
 */
export interface Recording {
  /** Keys that are down now, by code, with what they were said to type. */
  readonly down: readonly { readonly code: string; readonly value: string | null }[];
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
export function recordKey(
  recording: Recording,
  { down, code: reported, value = '' }: KeyReport,
  rules: RecordingRules = PLAIN_RULES,
): Recording {
  if (!KEY_BY_CODE.has(reported)) {
    return down ? { ...recording, unknown: reported || 'unknown key' } : recording;
  }
  // A right Alt key that reaches no third level is an Alt key.
  const isPlainAlt = reported === 'AltRight' && value !== 'AltGraph' && !isDown(recording, 'AltRight');
  const code = isPlainAlt ? 'AltLeft' : reported;
  return down ? keyDown(recording, code, value, rules) : keyUp(recording, code);
}

const isDown = ({ down }: Recording, code: string) => down.some((key) => key.code === code);

/** All that goes down together belongs to one shortcut. */
function keyDown(recording: Recording, code: string, value: string, rules: RecordingRules): Recording {
  if (isDown(recording, code)) return recording;
  const phantom = rules.phantomCtrl && code === 'AltRight' && recording.down.at(-1)?.code === 'ControlLeft';
  const down = [
    ...(phantom ? recording.down.slice(0, -1) : recording.down),
    { code, value: value === '' ? null : value },
  ];
  const before = recording.taken ? null : recording.seen;
  const now = shortcutOf(down, rules);
  const fuller = before?.key && !now.key ? before : now;
  return { down, seen: fuller, taken: null, unknown: null };
}

/** Taken when all have come up: until then another may join. */
function keyUp(recording: Recording, code: string): Recording {
  const down = recording.down.filter((held) => held.code !== code);
  return { ...recording, down, taken: down.length === 0 ? recording.seen : recording.taken };
}

/** The modifiers that are down, and the last other key that went down. */
function shortcutOf(down: Recording['down'], { meaningOf }: RecordingRules): Shortcut {
  const held: Record<ModifierName, boolean> = { ...BARE };
  for (const { code } of down) {
    const modifier = modifierOf(code);
    if (modifier) held[modifier] = true;
  }
  const key = down.findLast(({ code }) => modifierOf(code) === null);
  return key ? meaningOf({ ...key, held }) : { ...held, key: null };
}
