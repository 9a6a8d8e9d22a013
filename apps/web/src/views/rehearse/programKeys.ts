import { BARE, formatShortcut, KEY_BY_CODE, modifierOf } from '@nimble-lever/core/keys';
import type { KeyboardEvent } from 'react';
import { programRan } from '../../app/engine/engineSlice.ts';
import type { AppThunk } from '../../app/store.ts';
import { type PracticeProgram, runShortcut, shortcutArrived } from './rehearseSlice.ts';

/** A key event reached a practice program: it runs the command it has on that shortcut. */
export const keyArrived =
  (program: PracticeProgram, name: string, event: KeyboardEvent): AppThunk =>
  (dispatch, getState) => {
    const shortcut = shortcutOf(event);
    const ran = shortcut ? runShortcut(getState().rehearse, program, shortcut) : null;
    if (!shortcut || !ran) return;
    event.preventDefault();
    dispatch(shortcutArrived({ program, shortcut }));
    // Strokes of the engine are told in the account; the person's own typing is not.
    if (!event.nativeEvent.isTrusted)
      dispatch(programRan({ program: name, command: ran.name, said: ran.said }));
  };

function shortcutOf({ code, ctrlKey, shiftKey, altKey, metaKey }: KeyboardEvent): string | null {
  if (!KEY_BY_CODE.has(code) || modifierOf(code) !== null) return null;
  return formatShortcut({ ...BARE, ctrl: ctrlKey, shift: shiftKey, alt: altKey, meta: metaKey, code });
}
