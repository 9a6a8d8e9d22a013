import type { Stroke } from '@nimble-lever/core/engine';
import { keyValue, type ModifierName, modifierOf } from '@nimble-lever/core/keys';
import { volumeKey } from '../../app/desk/deskSlice.ts';
import type { Desk } from '../../app/engine/desk.ts';
import { programRan } from '../../app/engine/engineSlice.ts';
import type { AppDispatch, RootState } from '../../app/store.ts';
import { WORDS } from './words.ts';

const VOLUME_KEYS: Readonly<Record<string, 'up' | 'down' | 'mute'>> = {
  AudioVolumeUp: 'up',
  AudioVolumeDown: 'down',
  AudioVolumeMute: 'mute',
};

/** CSS pixels for one wheel tick, as browsers commonly report a notch. */
const WHEEL_PX = 100;

/**
 * The practice desk: strokes reach the program in front as the browser's own keyboard, wheel and pointer
 * events, so that it runs the commands it would run for a real keyboard. Volume keys go to the desk itself.
 */
export function practiceDesk(dispatch: AppDispatch, getState: () => RootState): Desk {
  const held = new Set<ModifierName>();
  const target = () =>
    document.querySelector<HTMLElement>(`[data-program="${getState().desk.active}"] [data-keys]`);

  const key = (code: string, down: boolean) => {
    const modifier = modifierOf(code);
    if (modifier && down) held.add(modifier);
    if (modifier && !down) held.delete(modifier);
    const volume = VOLUME_KEYS[code];
    if (volume && down) {
      dispatch(volumeKey(volume));
      const { volume: level, muted } = getState().desk;
      dispatch(
        programRan({ program: WORDS.desk, command: WORDS.volume[volume], said: WORDS.sound(level, muted) }),
      );
    }
    if (volume) return;
    const init = {
      code,
      key: keyValue(code, held.has('shift')),
      bubbles: true,
      cancelable: true,
      ...modifiers(),
    };
    target()?.dispatchEvent(new KeyboardEvent(down ? 'keydown' : 'keyup', init));
  };
  const modifiers = () => ({
    ctrlKey: held.has('ctrl'),
    shiftKey: held.has('shift'),
    altKey: held.has('alt'),
    metaKey: held.has('meta'),
  });
  const pointer = (kind: 'pointerdown' | 'pointerup', button: number) => {
    const element = target()?.querySelector('[data-pointer]') ?? target();
    if (!element) return;
    const { left, top, width, height } = element.getBoundingClientRect();
    const place = { clientX: left + width / 2, clientY: top + height / 2 };
    element.dispatchEvent(
      new PointerEvent(kind, { button, bubbles: true, pointerId: 1, ...place, ...modifiers() }),
    );
  };

  return {
    carryOut(stroke: Stroke) {
      switch (stroke.kind) {
        case 'key-down':
        case 'key-up':
          return key(stroke.code, stroke.kind === 'key-down');
        case 'button-down':
        case 'button-up':
          return pointer(stroke.kind === 'button-down' ? 'pointerdown' : 'pointerup', stroke.button);
        case 'wheel':
          target()?.dispatchEvent(
            new WheelEvent('wheel', {
              deltaY: -stroke.ticks * WHEEL_PX,
              bubbles: true,
              cancelable: true,
              ...modifiers(),
            }),
          );
      }
    },
  };
}
