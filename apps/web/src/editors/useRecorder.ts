import {
  EMPTY_RECORDING,
  formatShortcut,
  type Recording,
  type RecordingRules,
  recordKey,
} from '@nimble-lever/core/keys';
import { type KeysBy, meaningOf } from '@nimble-lever/core/keys/layouts';
import { type KeyboardEvent, useState } from 'react';
import { selectLayout } from '../app/keyboard/keyboardSlice.ts';
import { useAppSelector } from '../app/store.ts';

/** What hears keys, and what becomes of them. */
interface Heard {
  /** What reads the shortcut goes by. */
  readonly keysBy: KeysBy;
  /** Takes one shortcut in our notation, when all its keys have come up. */
  readonly onTaken: (shortcut: string) => void;
  readonly onLeave: () => void;
}

/** Hears keys until those of a shortcut have all come up. Escape leaves, and Tab goes on as it does from any field. */
export function useRecorder({ keysBy, onTaken, onLeave }: Heard) {
  const layout = useAppSelector(selectLayout);
  const platform = useAppSelector((state) => state.keyboard.platform);
  const rules: RecordingRules = {
    meaningOf: (pressed) => meaningOf(pressed, layout, keysBy),
    phantomCtrl: platform === 'windows',
  };
  const [recording, setRecording] = useState<Recording>(EMPTY_RECORDING);
  const hear = (event: KeyboardEvent, down: boolean) => {
    // Tab leaves, as from any field: a person without a mouse must get out (WCAG 2.2, 2.1.2).
    if (event.key === 'Tab') return;
    event.preventDefault();
    event.stopPropagation();
    if (event.key === 'Escape') {
      if (down) onLeave();
      return;
    }
    // A key that is held repeats by itself; that is no second press.
    if (event.repeat) return;
    const next = recordKey(recording, { down, code: event.code, value: event.key }, rules);
    setRecording(next);
    if (next.taken) onTaken(formatShortcut(next.taken));
  };
  const { seen, unknown, down } = recording;
  return {
    /** What is down now, in our notation; null while nothing is. */
    seen: down.length > 0 && seen ? formatShortcut(seen) : null,
    isBusy: down.length > 0,
    /** A key that no table knows, by its code. */
    unknown,
    onKeyDown: (event: KeyboardEvent) => hear(event, true),
    onKeyUp: (event: KeyboardEvent) => hear(event, false),
  };
}
