import type { Device } from '@nimble-lever/core/devices';
import { useEffect } from 'react';
import type { Use } from './use.ts';

/** `MouseEvent.button` of the buttons that the Board itself is worked with. */
const OWN_BUTTONS = [0, 2];

/**
 * Hears the real mouse and says which control of the rig's mouse was used. The buttons the Board is worked
 * with, and the wheel that scrolls it, are heard without `select`, so that clicking a cell stays clicking
 * that cell.
 */
export function useRealMouse(mouse: Device | undefined, heard: (use: Use) => void): void {
  useEffect(() => {
    if (!mouse) return;
    const byButton = (button: number) =>
      mouse.controls.find(({ native }) => native.press?.kind === 'button' && native.press.button === button);
    const wheel = mouse.controls.find(({ kind }) => kind === 'wheel');
    const onDown = (event: MouseEvent) => {
      const control = byButton(event.button);
      const own = OWN_BUTTONS.includes(event.button);
      if (!own) event.preventDefault();
      if (control) heard({ control, trigger: 'press', down: true, select: !own });
    };
    const onUp = (event: MouseEvent) => {
      // Thumb buttons would leave the page.
      if (event.button > 2) event.preventDefault();
      const control = byButton(event.button);
      if (control) heard({ control, trigger: 'press', down: false, select: false });
    };
    const onWheel = (event: WheelEvent) => {
      if (!wheel || event.deltaY === 0) return;
      const trigger = event.deltaY < 0 ? 'clockwise' : 'anticlockwise';
      heard({ control: wheel, trigger, down: true, select: false });
      heard({ control: wheel, trigger, down: false, select: false });
    };
    window.addEventListener('mousedown', onDown);
    window.addEventListener('mouseup', onUp);
    window.addEventListener('wheel', onWheel, { passive: true });
    return () => {
      window.removeEventListener('mousedown', onDown);
      window.removeEventListener('mouseup', onUp);
      window.removeEventListener('wheel', onWheel);
    };
  }, [mouse, heard]);
}
