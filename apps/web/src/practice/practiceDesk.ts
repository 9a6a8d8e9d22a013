import { keyboardOf, type Stroke } from '@nimble-lever/core/engine';
import { type ModifierName, modifierOf } from '@nimble-lever/core/keys';
import { keyValue } from '@nimble-lever/core/keys/layouts';
import { filledText } from '@nimble-lever/core/macros';
import { sentOf } from '@nimble-lever/core/words';
import type { Carrier } from '@nimble-lever/session';
import { programRan } from '../app/engine/engineSlice.ts';
import { selectKeyboards, selectLayout } from '../app/keyboard/keyboardSlice.ts';
import type { AppDispatch, AppThunk, RootState } from '../app/store.ts';
import { deskCommandOf } from './deskKeys.ts';
import {
  DESK_WINDOWS,
  type DeskState,
  heardElsewhere,
  pointerMoved,
  selectDesk,
  volumeKey,
} from './deskSlice.ts';
import { commandWindows, frontWindow, raiseWindow } from './frontWindow.ts';
import { inParts } from './inParts.ts';
import { onSurface, type Pointed, placeIn, pointedAt } from './pointing.ts';
import { pickFromMenu } from './programKeys.ts';
import { isPracticeProgram } from './programs/standIns.ts';
import { textFacts } from './textFacts.ts';
import { WHEEL_PX } from './wheelPx.ts';
import { windowFor } from './windowOfProgram.ts';
import type { WindowCommand } from './windows.ts';
import { WORDS } from './words.ts';

/**
 * Media keys that the desk itself obeys, whichever program is in front (usages E9, EA and E2 of the consumer page,
 * HID Usage Tables).
 */
const VOLUME_KEYS: Readonly<Record<string, 'up' | 'down' | 'mute'>> = {
  AudioVolumeUp: 'up',
  AudioVolumeDown: 'down',
  AudioVolumeMute: 'mute',
};

/** Strokes of one kind. */
type OfKind<Kind extends Stroke['kind']> = Extract<Stroke, { kind: Kind }>;

/**
 * The practice desk: strokes reach the program they are for (the one in front unless they name another) as the
 * browser's own keyboard, input, wheel and pointer events, so that it runs the commands it would run for a real
 * keyboard. Volume keys go to the desk itself.
 */
export function practiceDesk(dispatch: AppDispatch, getState: () => RootState): Carrier {
  /** Modifiers that are down, by the program they are down for. */
  const held = new Map<string, Set<ModifierName>>();
  /** What the pointer was sent to, until the next click there is over. */
  let pointed: Pointed | null = null;
  /** What went down by a pointer button that is down. */
  let pressed: Element | null = null;
  /** Where the pointer was when that was to be remembered. */
  const marks = new Map<string, DeskState['pointer']>();
  const programOf = ({ program }: Stroke) =>
    program === undefined ? (selectDesk(getState()).active ?? '') : windowFor(getState(), program);
  const target = (stroke: Stroke) =>
    document.querySelector<HTMLElement>(`[data-program="${CSS.escape(programOf(stroke))}"] [data-keys]`);
  const heldFor = ({ program = '' }: Stroke) => {
    const known = held.get(program) ?? new Set<ModifierName>();
    held.set(program, known);
    return known;
  };
  const modifiers = (stroke: Stroke) => {
    const down = heldFor(stroke);
    return {
      ctrlKey: down.has('ctrl'),
      shiftKey: down.has('shift'),
      altKey: down.has('alt'),
      metaKey: down.has('meta'),
      modifierAltGraph: down.has('altGr'),
    };
  };

  const key = (stroke: OfKind<'key-down' | 'key-up'>) => {
    const goesDown = stroke.kind === 'key-down';
    const modifier = modifierOf(stroke.code);
    if (modifier && goesDown) heldFor(stroke).add(modifier);
    if (modifier && !goesDown) heldFor(stroke).delete(modifier);
    const volume = VOLUME_KEYS[stroke.code];
    if (volume) {
      if (goesDown) turnVolume(volume);
      return;
    }
    const down = heldFor(stroke);
    const layout = selectLayout(getState());
    const { code } = stroke;
    const value = keyValue(code, { shift: down.has('shift'), altGr: down.has('altGr') }, layout);
    if (goesDown && !modifier && stroke.program === undefined) {
      const [ctrl, shift, alt] = [down.has('ctrl'), down.has('shift'), down.has('alt')];
      const held = { ctrl, shift, alt, meta: down.has('meta'), altGr: down.has('altGr') };
      const command = deskCommandOf({ code, value, held }, layout, getState().keyboard.platform);
      if (command) {
        doWithWindows(command);
        return;
      }
    }
    const init = {
      code,
      key: value,
      bubbles: true,
      cancelable: true,
      ...modifiers(stroke),
    };
    target(stroke)?.dispatchEvent(new KeyboardEvent(goesDown ? 'keydown' : 'keyup', init));
  };
  const isSmooth = ({ device }: Stroke) =>
    getState().setup.setup?.devices.find(({ id }) => id === device)?.settings.wheel.smooth ?? false;
  const doWithWindows = (command: WindowCommand) => {
    dispatch(commandWindows(command));
    const front = DESK_WINDOWS.find(({ id }) => id === selectDesk(getState()).active);
    const said = WORDS.inFrontNow(front?.name ?? null);
    dispatch(programRan({ program: WORDS.desk, command: WORDS.windowCommands[command], said }));
  };
  // A program that does not run is started only where that was asked for.
  const focus = (program: string, launch: boolean) => {
    const window = windowFor(getState(), program);
    const known = DESK_WINDOWS.find(({ id }) => id === window);
    if (known && !launch && !selectDesk(getState()).order.includes(window)) {
      dispatch(programRan({ program: WORDS.desk, command: WORDS.goTo, said: WORDS.notOpen(known.name) }));
    } else dispatch(raiseWindow(window));
  };
  const turnVolume = (way: 'up' | 'down' | 'mute') => {
    dispatch(volumeKey(way));
    const { volume: level, muted } = selectDesk(getState());
    dispatch(
      programRan({ program: WORDS.desk, command: WORDS.volume[way], said: WORDS.sound(level, muted) }),
    );
  };
  const pointer = (stroke: OfKind<'button-down' | 'button-up'>) => {
    const window = target(stroke);
    if (!window) return;
    const at = pointed ?? pointedAt(window, getState());
    const goesDown = stroke.kind === 'button-down';
    const init = { button: stroke.button, bubbles: true, pointerId: 1, ...at?.place, ...modifiers(stroke) };
    at?.element.dispatchEvent(new PointerEvent(goesDown ? 'pointerdown' : 'pointerup', init));
    if (goesDown) pressed = at?.element ?? null;
    else {
      // A browser makes a click of the main button's going down and up on one thing (UI Events, `click`).
      const isClick = stroke.button === 0 && pressed !== null && pressed === at?.element;
      if (isClick) pressed?.dispatchEvent(new MouseEvent('click', { ...init, cancelable: true, detail: 1 }));
      pressed = null;
      pointed = null;
    }
  };
  const movePointerTo = (stroke: OfKind<'pointer-move'>) => {
    const window = target(stroke);
    pointed = window && placeIn(window, stroke.to, getState());
    if (pointed) dispatch(pointerMoved(onSurface(pointed.place)));
  };

  return {
    front: () => frontWindow(getState()),
    carryOut(stroke: Stroke) {
      const { computer } = stroke;
      if (computer !== undefined) {
        if (stroke.kind === 'focus') dispatch(raiseWindow(windowFor(getState(), stroke.program), computer));
        const [sent] = sentOf([stroke], keyboardOf(selectKeyboards(getState()), computer));
        if (sent && stroke.kind !== 'key-up' && stroke.kind !== 'button-up') {
          dispatch(heardElsewhere({ computer, words: sent.text }));
        }
        return;
      }
      switch (stroke.kind) {
        case 'key-down':
        case 'key-up':
          key(stroke);
          return;
        case 'button-down':
        case 'button-up':
          pointer(stroke);
          return;
        case 'pointer-move':
          movePointerTo(stroke);
          return;
        case 'pointer-remember':
          marks.set(stroke.mark, selectDesk(getState()).pointer);
          return;
        case 'pointer-back': {
          const before = marks.get(stroke.mark);
          if (before !== undefined) dispatch(pointerMoved(before));
          return;
        }
        case 'menu-item': {
          const program = programOf(stroke);
          if (isPracticeProgram(program)) dispatch(pickFromMenu(program, stroke.path));
          return;
        }
        case 'wheel': {
          const element = target(stroke);
          const held = modifiers(stroke);
          const scroll = (px: number) => {
            const turned = stroke.axis === 'vertical' ? { deltaY: -px } : { deltaX: px };
            const init = { ...turned, bubbles: true, cancelable: true, ...held };
            element?.dispatchEvent(new WheelEvent('wheel', init));
          };
          if (isSmooth(stroke)) inParts(stroke.ticks * WHEEL_PX, scroll);
          else scroll(stroke.ticks * WHEEL_PX);
          return;
        }
        case 'text': {
          const data = filledText(stroke.text, textFacts(getState()));
          const init = { inputType: 'insertText', data, bubbles: true, cancelable: true };
          target(stroke)?.dispatchEvent(new InputEvent('beforeinput', init));
          return;
        }
        case 'message':
          target(stroke)?.dispatchEvent(
            new CustomEvent('controlmessage', { detail: { message: stroke.message, value: stroke.value } }),
          );
          return;
        case 'focus':
          focus(stroke.program, stroke.launch);
      }
    },
  };
}

/** The practice desk gets the strokes from now on; the answer lets go of everything and takes it away again. */
export const enterPracticeDesk =
  (): AppThunk<() => void> =>
  (dispatch, getState, { session, install }) => {
    const leave = install(practiceDesk(dispatch, getState));
    return () => {
      session.take({ kind: 'reset' });
      leave();
    };
  };
