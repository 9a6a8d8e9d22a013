import {
  type Control,
  controlHeard,
  type Device,
  type HeardUse,
  usesHeard,
} from '@nimble-lever/core/devices';
import { useStore } from 'react-redux';
import { selectSetup } from '../../app/setup/selectors.ts';
import { gamepadSource } from '../../app/sources/gamepadSource.ts';
import { isTyping } from '../../app/sources/isTyping.ts';
import { keySource } from '../../app/sources/keySource.ts';
import { mouseSource } from '../../app/sources/pointerSources.ts';
import type { Heard } from '../../app/sources/source.ts';
import { useSources } from '../../app/sources/useSources.ts';
import type { AppStore } from '../../app/store.ts';
import { selectBoardState } from './boardSlice.ts';
import { positionTrigger, turnTrigger, type Use } from './use.ts';

/** No HID and no MIDI: those ask for leave, and the Board must not ask by itself. */
const SOURCES = [keySource, gamepadSource, mouseSource(() => null, true)];

/** What the Board itself is worked with: left to the page, so that a click is a click and scrolling lights nothing. */
const OWN: ReadonlySet<string> = new Set(['mouse/button/0', 'mouse/button/2', 'mouse/wheel']);

/**
 * Hears the real mouse, the keys that pedals and pads of the rig send, and gamepads, and says which control was used;
 * while a shortcut is recorded or something is typed, keys are left alone.
 */
export function useHeardControls(heard: (device: Device, use: Use) => void): void {
  const store = useStore() as AppStore;
  useSources(SOURCES, true, ({ id, change }: Heard) => {
    const state = store.getState();
    // Pedals and pads send keys like a keyboard: while something is typed or recorded, keys are text.
    if (OWN.has(id)) return false;
    const isKey = id.startsWith('key/');
    if (isKey && change.kind === 'down' && (isTyping() || selectBoardState(state).recording)) return false;
    // What belongs to no control of the rig is left to the browser.
    const found = controlHeard(selectSetup(state).devices, { id, change });
    if (!found) return false;
    const { device, control } = found;
    for (const use of usesHeard(found, change)) {
      const trigger = triggerOf(control, use);
      heard(device, { control, trigger, down: use.kind !== 'up', select: true });
      // Turns and positions have no up of their own; they light for a moment.
      if (use.kind === 'turn' || use.kind === 'position') {
        heard(device, { control, trigger, down: false, select: false });
      }
    }
    return true;
  });
}

/** The row a use belongs to: which way it was turned decides, not how far. */
function triggerOf(control: Control, use: HeardUse): Use['trigger'] {
  if (use.kind === 'turn') return turnTrigger(use.amount);
  return use.kind === 'position' ? positionTrigger(control, use.value) : 'press';
}
