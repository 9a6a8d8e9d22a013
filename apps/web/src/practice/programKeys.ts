import { KEY_BY_CODE, modifierOf } from '@nimble-lever/core/keys';
import type { Message } from '@nimble-lever/core/setup';
import { menuText } from '@nimble-lever/core/words';
import type { KeyboardEvent } from 'react';
import { programRan } from '../app/engine/engineSlice.ts';
import { selectLayout } from '../app/keyboard/keyboardSlice.ts';
import type { AppThunk } from '../app/store.ts';
import { did, frontDeed } from './deeds.ts';
import { deskCommandOf, type Pressed, readAs } from './deskKeys.ts';
import { busyChanged, DESK_WINDOWS, selectDesk } from './deskSlice.ts';
import { commandWindows, raiseWindow } from './frontWindow.ts';
import { menuPath, within } from './programs/standIn.ts';
import { type PracticeProgram, type ProgramStates, standInOf } from './programs/standIns.ts';
import {
  endShortcut,
  programChanged,
  programsChanged,
  runShortcut,
  selectPrograms,
} from './programsSlice.ts';
import { WORDS } from './words.ts';

/** Runs the command a program has on a shortcut; says whether it has one. `told`: in the account. */
export const runCommand =
  (program: PracticeProgram, name: string, shortcut: string, told: boolean): AppThunk<boolean> =>
  (dispatch, getState) => {
    const ran = runShortcut(selectPrograms(getState()), program, shortcut);
    if (!ran) return false;
    dispatch(programsChanged(ran.state));
    if (told) dispatch(programRan({ program: name, command: ran.name, said: ran.said }));
    if (ran.closes) dispatch(byProgram(commandWindows('close')));
    if (ran.opens !== null) dispatch(openWindow(program, ran.opens));
    return true;
  };

/** A program opens a window: at once, or on a slow day after a while, in which it hears nothing. */
export const openWindow =
  (program: string, window: string): AppThunk =>
  (dispatch, getState) => {
    const { slowness } = selectDesk(getState());
    if (slowness === 0) {
      dispatch(byProgram(raiseWindow(window)));
      return;
    }
    dispatch(busyChanged({ id: program, busy: true }));
    setTimeout(() => {
      dispatch(busyChanged({ id: program, busy: false }));
      dispatch(byProgram(raiseWindow(window)));
    }, slowness);
  };

/** A change of windows that a program makes, and not the person. */
const byProgram =
  (change: AppThunk): AppThunk =>
  (dispatch, getState) => {
    const before = selectDesk(getState()).active;
    dispatch(change);
    if (selectDesk(getState()).active !== before) did(frontDeed(getState(), false));
  };

/** A program that is busy hears nothing: what reaches it is lost, and said where it came from a device. */
const isLost =
  (program: PracticeProgram, name: string, what: string, told: boolean): AppThunk<boolean> =>
  (dispatch, getState) => {
    if (!selectDesk(getState()).busy.includes(program)) return false;
    if (told) dispatch(programRan({ program: name, command: WORDS.busy, said: WORDS.lost(what) }));
    return true;
  };

/** An item of a program's menus is chosen by its words, as they stand there. */
export const pickFromMenu =
  (program: PracticeProgram, path: readonly string[]): AppThunk =>
  (dispatch) => {
    const { name } = DESK_WINDOWS.find(({ id }) => id === program) ?? { name: program };
    const asked = menuText(path);
    if (dispatch(isLost(program, name, asked, true))) return;
    const command = standInOf(program).commands.find((each) => menuText(menuPath(each)) === asked);
    if (command) dispatch(runCommand(program, name, command.shortcut, true));
    else dispatch(programRan({ program: name, command: null, said: asked }));
  };

/** A key event reached a practice program: it runs the command it has on that shortcut. */
export const keyArrived =
  (program: PracticeProgram, name: string, event: KeyboardEvent): AppThunk =>
  (dispatch, getState) => {
    const { keyboard } = getState();
    const layout = selectLayout(getState());
    const pressed = pressOf(event);
    const command = pressed && deskCommandOf(pressed, layout, keyboard.platform);
    if (command) {
      event.preventDefault();
      dispatch(commandWindows(command));
      return;
    }
    const shortcut = pressed && readAs(pressed, layout, standInOf(program).keysBy);
    // Strokes of the engine are told in the account; the person's own typing is not.
    const told = !event.nativeEvent.isTrusted;
    if (!shortcut || dispatch(isLost(program, name, shortcut, told))) return;
    if (dispatch(runCommand(program, name, shortcut, told))) event.preventDefault();
    else if (standInOf(program).text && isTyped(event)) {
      event.preventDefault();
      dispatch(textArrived(program, name, event.key, told));
    } else if (told) dispatch(programRan({ program: name, command: null, said: shortcut }));
  };

/** Whether a key types a character, and is no shortcut. */
export function isTyped({
  key,
  ctrlKey,
  altKey,
  metaKey,
}: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'altKey' | 'metaKey'>): boolean {
  return [...key].length === 1 && !ctrlKey && !altKey && !metaKey;
}

/** A key came up in a practice program: a command that lasts ends. */
export const keyLeft =
  (program: PracticeProgram, event: KeyboardEvent): AppThunk =>
  (dispatch, getState) => {
    const pressed = pressOf(event);
    const shortcut = pressed && readAs(pressed, selectLayout(getState()), standInOf(program).keysBy);
    const state = shortcut && endShortcut(selectPrograms(getState()), program, shortcut);
    if (state) dispatch(programChanged({ program, state: state[program] }));
  };

/** A key as a keyboard event has it; null for modifiers alone and keys that no table knows. */
function pressOf(event: KeyboardEvent): Pressed | null {
  const { code, key: value, ctrlKey: ctrl, shiftKey: shift, altKey: alt, metaKey: meta } = event;
  if (!KEY_BY_CODE.has(code) || modifierOf(code) !== null) return null;
  return { code, value, held: { ctrl, shift, alt, meta, altGr: event.getModifierState('AltGraph') } };
}

/** Changes what is in a program, by hand. */
export const changeProgram =
  <Id extends PracticeProgram>(
    program: Id,
    change: (state: ProgramStates[Id]) => ProgramStates[Id],
  ): AppThunk =>
  (dispatch, getState) => {
    const state = change(selectPrograms(getState())[program]);
    dispatch(programChanged({ program, state }));
  };

/** The wheel is turned over a program. */
export const wheelArrived =
  (program: PracticeProgram, ticks: number): AppThunk =>
  (dispatch) => {
    const { wheel } = standInOf(program);
    if (wheel && ticks !== 0) dispatch(changeProgram(program, (state) => wheel.turn(state, ticks)));
  };

/** Text reaches a program. */
export const textArrived =
  (program: PracticeProgram, name: string, text: string, told: boolean): AppThunk =>
  (dispatch, getState) => {
    const { text: type } = standInOf(program);
    if (!type || dispatch(isLost(program, name, text, told))) return;
    dispatch(programChanged({ program, state: type(selectPrograms(getState())[program], text) }));
    if (told) dispatch(programRan({ program: name, command: WORDS.typed, said: `“${text}”` }));
  };

/** A control message reaches a program; the programs know values from 0 to 1. */
export const messageArrived =
  (program: PracticeProgram, name: string, message: Message, value: number): AppThunk =>
  (dispatch, getState) => {
    const heard = standInOf(program).message?.(
      selectPrograms(getState())[program],
      message,
      within(value, 0, 1),
    );
    if (!heard) return;
    dispatch(programChanged({ program, state: { ...heard.state, lastCommand: heard.name } }));
    dispatch(programRan({ program: name, command: heard.name, said: heard.said }));
  };
