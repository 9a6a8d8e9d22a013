import { keyboardOf, type Stroke } from '@nimble-lever/core/engine';
import { type ModifierName, modifierOf } from '@nimble-lever/core/keys';
import { keyValue } from '@nimble-lever/core/keys/layouts';
import type { Place } from '@nimble-lever/core/setup';
import { sentOf } from '@nimble-lever/core/words';
import type { Carrier } from '@nimble-lever/session';
import { programRan } from '../app/engine/engineSlice.ts';
import { selectKeyboards, selectLayout } from '../app/keyboard/keyboardSlice.ts';
import type { AppDispatch, AppThunk, RootState } from '../app/store.ts';
import { heardElsewhere, selectDesk, volumeKey } from './deskSlice.ts';
import { frontWindow, raiseWindow } from './frontWindow.ts';
import { placeIn, pointedAt } from './pointing.ts';
import { WHEEL_PX } from './wheelPx.ts';
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
  /** Where the pointer was sent to, until the next pointer event. */
  let pointed: Place | null = null;
  const programOf = ({ program }: Stroke) => program ?? selectDesk(getState()).active ?? '';
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
    const init = {
      code: stroke.code,
      key: keyValue(stroke.code, { shift: down.has('shift'), altGr: down.has('altGr') }, layout),
      bubbles: true,
      cancelable: true,
      ...modifiers(stroke),
    };
    target(stroke)?.dispatchEvent(new KeyboardEvent(goesDown ? 'keydown' : 'keyup', init));
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
    const at = pointed ? placeIn(window, pointed) : pointedAt(window, getState());
    const kind = stroke.kind === 'button-down' ? 'pointerdown' : 'pointerup';
    const init = { button: stroke.button, bubbles: true, pointerId: 1, ...at?.place, ...modifiers(stroke) };
    at?.element.dispatchEvent(new PointerEvent(kind, init));
    if (kind === 'pointerup') pointed = null;
  };

  return {
    front: () => frontWindow(getState()),
    carryOut(stroke: Stroke) {
      const { computer } = stroke;
      if (computer !== undefined) {
        if (stroke.kind === 'focus') dispatch(raiseWindow(stroke.program, computer));
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
          pointed = stroke.to;
          return;
        case 'wheel': {
          const delta = stroke.ticks * WHEEL_PX;
          const turned = stroke.axis === 'vertical' ? { deltaY: -delta } : { deltaX: delta };
          const init = { ...turned, bubbles: true, cancelable: true, ...modifiers(stroke) };
          target(stroke)?.dispatchEvent(new WheelEvent('wheel', init));
          return;
        }
        case 'text': {
          const init = { inputType: 'insertText', data: stroke.text, bubbles: true, cancelable: true };
          target(stroke)?.dispatchEvent(new InputEvent('beforeinput', init));
          return;
        }
        case 'message':
          target(stroke)?.dispatchEvent(
            new CustomEvent('controlmessage', { detail: { message: stroke.message, value: stroke.value } }),
          );
          return;
        case 'focus':
          dispatch(raiseWindow(stroke.program));
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
